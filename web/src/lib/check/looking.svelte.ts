import type { CheckResult } from '$lib/api/types';
import { SvelteMap } from 'svelte/reactivity';
import { watchCheck } from './watchCheck';

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
