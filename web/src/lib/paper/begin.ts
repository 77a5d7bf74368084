import { answer, api } from '$lib/api/client';
import type { Reach, SelectionBody } from '$lib/api/types';
import { notices } from '$lib/ui/notices.svelte';

/** Begins labels for some people; where to go to them, or null when they could not be begun. */
export async function beginLabels(
  who: SelectionBody,
  name: string | null = null
): Promise<string | null> {
  try {
    const begun = await answer(api.POST('/api/print-runs', { body: { who, name, design: null } }));
    return `/paper/${begun.id}`;
  } catch (error) {
    notices.fail(error);
    return null;
  }
}

/** The same for those whom a mailing does not reach, for one reason. */
export async function beginLabelsOf(mailingId: number, reason: Reach): Promise<string | null> {
  try {
    const params = { path: { mailingId }, query: { reason } };
    const begun = await answer(api.POST('/api/print-runs/of-mailing/{mailingId}', { params }));
    return `/paper/${begun.id}`;
  } catch (error) {
    notices.fail(error);
    return null;
  }
}
