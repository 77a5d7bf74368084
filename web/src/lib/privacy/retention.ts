import type { RetentionStanding } from '$lib/api/types';

export type Kept = RetentionStanding['next'][number]['kept'];
export type Months = Omit<RetentionStanding['months'], 'version'>;

/** What can be kept for so many months, in the order in which it is asked for. */
export const parts: { name: keyof Months; label: string; words: string }[] = [
  { name: 'copies', label: 'Copies of messages', words: 'as they were sent' },
  {
    name: 'responses',
    label: 'Notes of responses',
    words: 'the program it was read with, why a mail came back'
  },
  { name: 'mails', label: 'Mails and texts that came', words: 'with what was attached' },
  {
    name: 'archived',
    label: 'People who were archived',
    words: 'erased with all that hangs on them'
  }
];

const things: Record<Kept, [one: string, many: string]> = {
  COPIES: ['copy of a message', 'copies of messages'],
  RESPONSES: ['note of a response', 'notes of responses'],
  MAILS: ['mail or text that came', 'mails and texts that came'],
  ARCHIVED: ['archived person', 'archived people']
};

/** How much of something goes: "1 copy of a message", "no archived people". */
export function counted(kept: Kept, count: number): string {
  const [one, many] = things[kept];
  return count === 0
    ? `no ${many}`
    : `${count.toLocaleString('en-GB')} ${count === 1 ? one : many}`;
}

/** What stands in a field of months: nothing is for good. */
export function readMonths(text: string): number | null {
  const typed = text.trim();
  return typed === '' ? null : Number(typed);
}
