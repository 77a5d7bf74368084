import type { Condition, FilterField, RelatedFields } from '$lib/api/types';
import { comparisonOf, fieldOf } from './draft';

export const monthNames: readonly string[] = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December'
];

export const periods: readonly string[] = [
  'today',
  'yesterday',
  'tomorrow',
  'this week',
  'last week',
  'next week',
  'this month',
  'last month',
  'next month',
  'this year',
  'last year',
  'next year'
];

/** A condition's token: the field, how it compares, and with what. */
export interface Token {
  label: string;
  words: string;
  values: string;
}

/** What people call a key: a login's name, a mailing's, a person's. */
export type NameOf = (field: string, key: string) => string;

export function token(
  condition: Condition,
  fields: FilterField[],
  day: (date: string) => string,
  nameOf: NameOf = (_, key) => key
): Token {
  const field = fieldOf(condition, fields);
  const comparison = comparisonOf(condition, fields);
  if (!field || !comparison) return { label: condition.field, words: '', values: '…' };
  const label = field.label.toLowerCase();
  const words = comparison.words;
  const after = comparison.after ? ` ${comparison.after}` : '';
  const shown = condition.values.filter((v) => v !== '');
  const first = shown[0] ?? '…';
  const isDay = field.type === 'DAY' || field.type === 'INSTANT';
  switch (comparison.takes) {
    case 'NOTHING':
      return { label, words, values: '' };
    case 'SPAN':
      return { label, words, values: counted(first, shown[1] ?? 'days') + after };
    case 'DAYS':
      return { label, words, values: counted(first, 'days') };
    case 'MONTH':
      return { label, words, values: monthWords(first) + after };
    case 'STEPS':
      return { label, words: '', values: stepsWords(nameOf(field.name, first), shown[1] ?? '1') };
    case 'TWO':
      return {
        label,
        words,
        values: [0, 1]
          .map((i) => (shown[i] ? (isDay ? day(shown[i]) : shown[i]) : '…'))
          .join(' and ')
      };
    default:
      return {
        label,
        words,
        values:
          shown
            .map((v) =>
              field.type === 'REFERENCE'
                ? nameOf(field.name, v)
                : isDay && comparison.takes === 'ONE'
                  ? day(v)
                  : v
            )
            .join(', ') || '…'
      };
  }
}

function counted(number: string, unit: string): string {
  return `${number} ${number === '1' ? unit.replace(/s$/, '') : unit}`;
}

function monthWords(value: string): string {
  return monthNames[Number(value) - 1] ?? (value === '…' ? value : `${value} month`);
}

function stepsWords(who: string, steps: string): string {
  return steps === '1' ? `${who} directly` : `${who} within ${steps} steps`;
}

/** "have a quote", "have at least 2 quotes", "have no quote" */
export function relatedWords(related: RelatedFields, atLeast: number): string {
  if (atLeast === 0) return `have no ${related.one}`;
  if (atLeast > 1) return `have at least ${atLeast} ${related.many}`;
  return `have ${/^[aeiou]/.test(related.one) ? 'an' : 'a'} ${related.one}`;
}
