import type { CheckResult } from '$lib/api/types';
import type { Writing } from '$lib/draft/writing.svelte';
import { createQuery, useQueryClient } from '@tanstack/svelte-query';
import { checkQuery } from './looking.svelte';
import { watchCheck } from './watchCheck';

/** So many are laid on their pages in a second or two, and nobody need ask for it. */
const FEW = 200;

/** How many pages the letters of a mailing have: counted by itself where they are few. */
export function pageCount(writing: Writing, check: () => CheckResult | undefined) {
  const queries = useQueryClient();
  let wanted = $state(false);
  let progress = $state.raw<{ checked: number; of: number } | null>(null);
  const letters = $derived(check()?.ways.find((way) => way.channel === 'POST')?.people ?? 0);
  const unknown = $derived(
    writing.isDraft && letters > 0 && !writing.paper.documentId && !check()?.paper
  );

  const counting = createQuery(() => ({
    queryKey: ['pages', writing.mailing.id, writing.revision],
    queryFn: async ({ signal }) => {
      const { queryKey } = checkQuery(writing.mailing.id, writing.revision);
      const tell = (checked: number, of: number) => (progress = { checked, of });
      try {
        const result = await watchCheck(writing.mailing.id, signal, tell, 'paper');
        queries.setQueryData(queryKey, result);
        return result.paper;
      } finally {
        progress = null;
        wanted = false;
      }
    },
    enabled: unknown && (letters <= FEW || wanted),
    retry: false
  }));

  return {
    /** What they come to, once they are counted. */
    get sum() {
      return unknown ? null : (check()?.paper ?? null);
    },
    /** How many letters wait to be counted until somebody asks for it. */
    get uncounted() {
      return unknown && letters > FEW && !counting.isFetching ? letters : 0;
    },
    /** How far a long count has come. */
    get progress() {
      return letters > FEW && counting.isFetching
        ? (progress ?? { checked: 0, of: letters })
        : null;
    },
    get trouble() {
      return counting.isFetching ? null : counting.error;
    },
    count: () => (wanted = true),
    stop() {
      wanted = false;
      void queries.cancelQueries({ queryKey: ['pages', writing.mailing.id] });
    }
  };
}

export type PageCount = ReturnType<typeof pageCount>;
