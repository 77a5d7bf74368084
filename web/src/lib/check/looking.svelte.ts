import { answer, api } from '$lib/api/client';
import type { CheckResult } from '$lib/api/types';
import type { QueryClient } from '@tanstack/svelte-query';
import { SvelteMap } from 'svelte/reactivity';
import { watchCheck } from './watchCheck';

/** A message of the audience: its person, and the record it is about (0 for none). */
export interface Chosen {
  id: number;
  recordId: number;
}

/** A look that is done sooner shows no bar. */
const PATIENCE = 700;

/** How far long looks have come, by mailing. */
export const looking = new SvelteMap<number, { checked: number; of: number }>();

/** Looks at everyone of a mailing, as it stood after so many saves of this page. */
export const checkQuery = (mailing: number, revision: number) => ({
  queryKey: ['check', mailing, revision],
  queryFn: async ({ signal }: { signal: AbortSignal }): Promise<CheckResult> => {
    const since = Date.now();
    try {
      return await watchCheck(mailing, signal, (checked, of) => {
        if (Date.now() - since > PATIENCE) looking.set(mailing, { checked, of });
      });
    } finally {
      looking.delete(mailing);
    }
  }
});

/** The message of one of them, as they will get it. */
export const proofQuery = (mailing: number, revision: number, whose: Chosen) => ({
  queryKey: ['proof', mailing, revision, whose.id, whose.recordId],
  queryFn: ({ signal }: { signal: AbortSignal }) =>
    answer(
      api.GET('/api/mailings/{id}/proofs/{personId}', {
        params: { path: { id: mailing, personId: whose.id }, query: { record: whose.recordId } },
        signal
      })
    )
});

/** Asks what a mailing's screen is opened for before the screen itself is there. */
export async function lookAhead(queries: QueryClient, mailing: number) {
  const ahead = { staleTime: 1000, retry: false } as const;
  await queries.prefetchQuery({ ...checkQuery(mailing, 0), ...ahead });
  const first = queries.getQueryData<CheckResult>(['check', mailing, 0])?.first;
  if (first) await queries.prefetchQuery({ ...proofQuery(mailing, 0, first), ...ahead });
}
