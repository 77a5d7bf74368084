import { answer, api } from '$lib/api/client';
import type { PrintRun, PrintRunBody } from '$lib/api/types';
import { Autosave } from '$lib/draft/autosave.svelte';
import { createQuery, keepPreviousData, useQueryClient } from '@tanstack/svelte-query';
import { untrack } from 'svelte';
import { bodyOf } from './paper';

/** How soon it is asked how far a printing has come, in milliseconds. */
const SOON = 500;

/** A print run that is looked at and changed; what is changed saves itself. */
export function useRun(id: () => number) {
  const queries = useQueryClient();
  const params = () => ({ path: { id: id() } });
  let body = $state<PrintRunBody | null>(null);
  let page = $state(0);

  const run = createQuery(() => ({
    queryKey: ['print-run', id()],
    queryFn: () => answer(api.GET('/api/print-runs/{id}', { params: params() })),
    refetchInterval: (query) => (query.state.data?.state === 'PRINTING' ? SOON : false)
  }));
  const shown = createQuery(() => ({
    queryKey: ['print-page', id(), run.data?.version, run.data?.state, page],
    queryFn: () =>
      answer(
        api.GET('/api/print-runs/{id}/pages/{page}', { params: { path: { id: id(), page } } })
      ),
    enabled: run.isSuccess,
    placeholderData: keepPreviousData
  }));

  const saving = new Autosave(
    async () => {
      if (!body) return;
      const sent = $state.snapshot(body);
      take(await answer(api.PUT('/api/print-runs/{id}', { params: params(), body: sent })));
    },
    { keep: () => undefined, forget: () => undefined }
  );

  /** What the server says of it now; what is being changed here stays as it is. */
  function take(answered: PrintRun) {
    queries.setQueryData(['print-run', id()], answered);
    if (body) body.version = answered.version;
    void queries.invalidateQueries({ queryKey: ['print-runs'] });
  }

  // Whoever goes elsewhere at once loses nothing.
  $effect(() => () => void saving.save());
  // What is written here is no reason to write it again.
  $effect(() => {
    const known = run.data;
    if (known && (saving.state === 'saved' || untrack(() => body === null))) body = bodyOf(known);
  });

  return {
    get query() {
      return run;
    },
    get pages() {
      return shown;
    },
    get body() {
      return body;
    },
    get page() {
      return Math.min(page, Math.max(0, (shown.data?.pages ?? 1) - 1));
    },
    saving,
    turn(to: number) {
      page = Math.max(0, Math.min(to, Math.max(0, (shown.data?.pages ?? 1) - 1)));
    },
    change(change: Partial<PrintRunBody>) {
      if (!body) return;
      body = { ...body, ...change };
      saving.changed();
    },
    /** An act on the server, after what was changed here is saved. */
    async act(work: () => Promise<PrintRun>) {
      await saving.save();
      take(await work());
    },
    /** What stands at the server is taken instead of what is written here. */
    async takeTheirs() {
      saving.settle();
      const answered = await run.refetch();
      body = answered.data ? bodyOf(answered.data) : null;
    }
  };
}
