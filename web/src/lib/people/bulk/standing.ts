import type { FilterField, Holding, ValueShare } from '$lib/api/types';
import { count, people } from '$lib/format/numbers';
import { cellWords } from '$lib/list/cell';

/** So many values are named; how many have another is told together. */
const NAMED = 6;

/** "Now: active 8, lapsed 3, empty 1." of people who are picked. */
export function standingNow(field: FilterField, shares: ValueShare[], zone: string): string {
  const word = (value: string | null | undefined) =>
    value ? cellWords(field, value, zone) : 'empty';
  const named = shares.slice(0, NAMED).map((s) => `${word(s.value)} ${count(s.people)}`);
  const rest = shares.slice(NAMED).reduce((sum, s) => sum + s.people, 0);
  return `Now: ${[...named, ...(rest ? [`another value ${count(rest)}`] : [])].join(', ')}.`;
}

/** How many have the value already; null where it cannot be told by what a list shows. */
export function haveAlready(
  field: FilterField,
  shares: ValueShare[],
  value: string
): number | null {
  if (field.type !== 'CHOICE' && value.trim() !== '') return null;
  const same = shares.find((s) => (s.value ?? '') === value.trim());
  return same?.people ?? 0;
}

/** What an office's first or last day would do to those who are picked. */
export function holdingWords(gives: boolean, standing: Holding): string {
  const others = standing.people - standing.holding;
  if (!gives) {
    if (standing.holding === 0) return 'Nobody of them holds it on that day.';
    return others === 0
      ? 'All of them hold it on that day.'
      : `${standing.holding === 1 ? '1 of them holds' : `${count(standing.holding)} of them hold`} it on that day; the others stay as they are.`;
  }
  if (standing.holding === 0) return `${people(others)} would take it up.`;
  return others === 0
    ? 'All of them hold it on that day already.'
    : `${people(others)} would take it up; ${count(standing.holding)} hold it on that day already.`;
}
