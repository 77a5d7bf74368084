import type { PersonRow } from '$lib/api/types';
import { dayAndYear } from '$lib/format/dates';

const words: Record<string, string> = {
  OPENED: 'opened',
  CLICKED: 'clicked',
  REPLIED: 'replied',
  AUTO_REPLIED: 'away',
  RETURNED_HARD: 'returned',
  RETURNED_SOFT: 'returned',
  LEFT: 'left a list',
  COMPLAINED: 'complained'
};

/** What was last heard from a person, in a few words. */
export function heard(row: Pick<PersonRow, 'heardKind' | 'heardAt'>, zone: string): string {
  if (!row.heardKind || !row.heardAt) return 'never';
  return `${words[row.heardKind] ?? row.heardKind} ${dayAndYear(row.heardAt, zone)}`;
}
