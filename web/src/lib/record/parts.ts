import type { Filter } from '$lib/api/types';
import type { Tone } from '$lib/ui/Tally.svelte';

const tones: Record<string, Tone> = {
  overdue: 'bad',
  today: 'look',
  later: 'light',
  done: 'good',
  open: 'light',
  accepted: 'good',
  declined: 'off',
  lapsed: 'off',
  came: 'good',
  coming: 'light',
  missed: 'off'
};

/** How a part of a tally of records looks. */
export function partTone(part: string): Tone {
  return tones[part] ?? 'open';
}

const order = [
  'overdue',
  'today',
  'later',
  'no day set',
  'done',
  'draft',
  'open',
  'accepted',
  'declined',
  'lapsed',
  'asked',
  'coming',
  'came',
  'missed'
];

/** Parts in the order in which such records go through them. */
export function inOrder<T extends { part: string }>(parts: T[]): T[] {
  return [...parts].sort((a, b) => order.indexOf(a.part) - order.indexOf(b.part));
}

type Condition = Filter['conditions'][number];

const is = (field: string, operator: Condition['operator'], ...values: string[]): Condition => ({
  field,
  operator,
  values
});

/** What a record of a part holds, as the tally of tasks says it. */
const taskParts: Record<string, Condition[]> = {
  done: [is('done', 'YES')],
  'no day set': [is('done', 'NO'), is('due_on', 'EMPTY')],
  overdue: [is('done', 'NO'), is('due_on', 'AGO', '0', 'days')],
  today: [is('done', 'NO'), is('due_on', 'IN_PERIOD', 'today')],
  later: [is('done', 'NO'), is('due_on', 'FILLED')]
};

/** The filter narrowed to one part of its tally. */
export function partFilter(many: string, part: string, filter: Filter): Filter {
  const conditions =
    many === 'quotes'
      ? [is('stage', 'ANY_OF', part)]
      : many === 'events'
        ? [is('attendance', 'ANY_OF', part)]
        : (taskParts[part] ?? []);
  const later = many === 'tasks' && part === 'later';
  const past: Filter = {
    match: 'NONE',
    conditions: [is('due_on', 'AGO', '0', 'days'), is('due_on', 'IN_PERIOD', 'today')],
    related: [],
    groups: []
  };
  return { match: 'ALL', conditions, related: [], groups: later ? [filter, past] : [filter] };
}
