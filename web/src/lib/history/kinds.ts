import type { HistoryEntry } from '$lib/api/types';

export type HistoryKind = HistoryEntry['kind'];

/** What can be looked for, in the order in which it is chosen from. */
export const kinds: { value: HistoryKind; name: string }[] = [
  { value: 'SIGN_IN', name: 'Signing in' },
  { value: 'REFUSED', name: 'Refused' },
  { value: 'COLLEAGUES', name: 'Colleagues' },
  { value: 'SETTINGS', name: 'Settings' },
  { value: 'EXPORT', name: 'Taken out of the house' },
  { value: 'PRIVACY', name: 'Erased' },
  { value: 'PEOPLE', name: 'People' }
];

/** What is different, in a line: "role READER, now role COORDINATOR". */
export function change(entry: Pick<HistoryEntry, 'before' | 'after'>): string {
  if (!entry.before) return entry.after;
  return entry.after ? `${entry.before}, now ${entry.after}` : entry.before;
}
