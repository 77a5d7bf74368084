import type { FilterField } from '$lib/api/types';
import { calendarDay, clock, dayAndYear } from '$lib/format/dates';
import { money, shortName } from '$lib/format/numbers';

const heard: Record<string, string> = {
  OPENED: 'opened',
  CLICKED: 'clicked',
  REPLIED: 'replied',
  AUTO_REPLIED: 'away',
  RETURNED_HARD: 'returned',
  RETURNED_SOFT: 'returned',
  LEFT: 'left a list',
  COMPLAINED: 'complained'
};

/** A field's value as people read it; the server gives days and instants as in ISO 8601. */
export function cellWords(
  field: Pick<FilterField, 'name' | 'type'>,
  text: string | null,
  zone: string
): string {
  if (field.name === 'last_heard') return lastHeard(text, zone);
  if (text === null || text === '') return field.name === 'last_visit' ? 'never' : '';
  switch (field.type) {
    case 'DAY':
      return calendarDay(text);
    case 'INSTANT':
      return field.name === 'starts'
        ? `${dayAndYear(text, zone)}, ${clock(text, zone)}`
        : dayAndYear(text, zone);
    case 'MONEY':
      return moneyWords(text);
    case 'FLAG':
      return text === 'true' ? 'yes' : 'no';
    case 'REFERENCE':
      return field.name === 'owner' ? shortName(text) : text;
    default:
      return text;
  }
}

/** "REPLIED 2026-02-06 08:31:00+00" as "replied 6 Feb 2026" */
function lastHeard(text: string | null, zone: string): string {
  if (!text) return 'never';
  const [kind = '', ...at] = text.split(' ');
  const instant = at.join('T').replace(/\+00$/, 'Z');
  return `${heard[kind] ?? kind.toLowerCase()} ${dayAndYear(instant, zone)}`;
}

/** "1860.00 GBP" as "£1,860.00" */
export function moneyWords(text: string): string {
  const [amount = '0', currency = 'GBP'] = text.split(' ');
  return money(Number(amount), currency);
}
