import type { RelatedFields } from '$lib/api/types';

/** The kinds of tasks that are given, in the house's order; none while they are not known. */
export function taskKinds(related: RelatedFields[] | undefined): string[] {
  const kind = related?.find((r) => r.kind === 'TASK')?.fields.find((f) => f.name === 'kind');
  return (kind?.choices ?? []).filter((k) => !kind?.retired.includes(k));
}
