import { answer, api } from '$lib/api/client';
import type { SendPlan } from '$lib/api/types';
import { createQuery, keepPreviousData } from '@tanstack/svelte-query';

/** What a plan would come to; asked anew while it is being changed, the last answer shown till then. */
export function planQuestion(
  asked: () => { id: number; plan: SendPlan; since: unknown; enabled: boolean }
) {
  return createQuery(() => {
    const { id, plan, since, enabled } = asked();
    return {
      queryKey: ['plan', id, plan, since],
      queryFn: ({ signal }: { signal: AbortSignal }) =>
        answer(
          api.POST('/api/mailings/{id}/plan', { params: { path: { id } }, body: plan, signal })
        ),
      enabled,
      placeholderData: keepPreviousData,
      gcTime: 30_000
    };
  });
}
