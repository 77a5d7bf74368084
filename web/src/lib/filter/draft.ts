import type { Comparison, Condition, Filter, FilterField } from '$lib/api/types';

/** A filter as it is built on the screen: kinds of people, then conditions that all or any hold. */
export interface FilterDraft {
  kinds: string[];
  joint: 'ALL' | 'ANY';
  conditions: Condition[];
}

export const everyone: FilterDraft = { kinds: [], joint: 'ALL', conditions: [] };

/** The filter the server is asked; conditions that are not filled in yet are left out. */
export function toFilter(draft: FilterDraft, fields: FilterField[]): Filter {
  const ready = draft.conditions.filter((c) => isReady(c, fields));
  const kind: Condition[] = draft.kinds.length
    ? [{ field: 'kind', operator: 'ANY_OF', values: draft.kinds }]
    : [];
  if (draft.joint === 'ANY' && ready.length > 1) {
    return {
      match: 'ALL',
      conditions: kind,
      groups: [{ match: 'ANY', conditions: ready, groups: [] }]
    };
  }
  return { match: 'ALL', conditions: [...kind, ...ready], groups: [] };
}

export function fieldOf(condition: Condition, fields: FilterField[]): FilterField | undefined {
  return fields.find((f) => f.name === condition.field);
}

export function comparisonOf(condition: Condition, fields: FilterField[]): Comparison | undefined {
  return fieldOf(condition, fields)?.comparisons.find((c) => c.operator === condition.operator);
}

/** Whether a condition has all it needs to be asked. */
export function isReady(condition: Condition, fields: FilterField[]): boolean {
  const comparison = comparisonOf(condition, fields);
  if (!comparison) return false;
  const given = condition.values.filter((v) => v.trim() !== '').length;
  switch (comparison.takes) {
    case 'NOTHING':
      return true;
    case 'TWO':
      return given === 2;
    default:
      return given >= 1;
  }
}

/** A new condition on a field, with the comparison most often wanted first. */
export function begin(field: FilterField): Condition {
  const wanted = { TEXT: 'CONTAINS', DAY: 'BEFORE', INSTANT: 'BEFORE' }[field.type as string];
  const comparison =
    field.comparisons.find((c) => c.operator === wanted) ?? (field.comparisons[0] as Comparison);
  return { field: field.name, operator: comparison.operator, values: [] };
}

/** The same condition compared otherwise; values stay where they still mean the same. */
export function compareBy(
  condition: Condition,
  operator: Condition['operator'],
  fields: FilterField[]
): Condition {
  const before = comparisonOf(condition, fields)?.takes;
  const next = { ...condition, operator };
  const after = comparisonOf(next, fields)?.takes;
  const kept = before === after || (before === 'ONE' && after === 'TWO');
  return { ...next, values: kept ? condition.values : [] };
}

/** A word switched on or off among the values. */
export function toggled(values: string[], word: string): string[] {
  return values.includes(word) ? values.filter((v) => v !== word) : [...values, word];
}

const months = [
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

export const monthNames: readonly string[] = months;

/** A condition's token: the field, how it compares, and with what. */
export function token(
  condition: Condition,
  fields: FilterField[],
  day: (date: string) => string
): { label: string; words: string; values: string } {
  const field = fieldOf(condition, fields);
  const comparison = comparisonOf(condition, fields);
  if (!field || !comparison) return { label: condition.field, words: '', values: '…' };
  const label = field.label.toLowerCase();
  const shown = condition.values.filter((v) => v !== '');
  const days = field.type === 'DAY' || field.type === 'INSTANT';
  switch (comparison.takes) {
    case 'NOTHING':
      return { label, words: comparison.words, values: '' };
    case 'DAYS':
      return dayCount(label, condition.operator, shown[0] ?? '…');
    case 'MONTH':
      return { label, words: comparison.words, values: months[Number(shown[0]) - 1] ?? '…' };
    case 'TWO':
      return {
        label,
        words: comparison.words,
        values: [0, 1]
          .map((i) => (shown[i] ? (days ? day(shown[i]) : shown[i]) : '…'))
          .join(' and ')
      };
    default:
      return {
        label,
        words: comparison.words,
        values: shown.map((v) => (days ? day(v) : v)).join(', ') || '…'
      };
  }
}

function dayCount(label: string, operator: Condition['operator'], days: string) {
  const unit = days === '1' ? 'day' : 'days';
  if (operator === 'IN_LAST_DAYS') {
    return { label, words: 'was in the last', values: `${days} ${unit}` };
  }
  if (operator === 'IN_NEXT_DAYS') {
    return { label, words: 'is in the next', values: `${days} ${unit}` };
  }
  return { label, words: 'is more than', values: `${days} ${unit} ago` };
}

/** "members", "members and leads", "people" for all kinds. */
export function kindsWords(kinds: string[]): string {
  if (kinds.length === 0 || kinds.length === 3) return 'people';
  return kinds.map((k) => `${k}s`).join(' and ');
}
