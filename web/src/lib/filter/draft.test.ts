import type { FilterField } from '$lib/api/types';
import { calendarDay } from '$lib/format/dates';
import { describe, expect, it } from 'vitest';
import { begin, compareBy, isReady, kindsWords, toFilter, toggled, token } from './draft';

const fields: FilterField[] = [
  {
    name: 'last_visit',
    label: 'Last visit',
    type: 'INSTANT',
    choices: [],
    comparisons: [
      { operator: 'BEFORE', words: 'is before', takes: 'ONE' },
      { operator: 'BETWEEN', words: 'is between', takes: 'TWO' },
      { operator: 'IN_LAST_DAYS', words: 'was in the last days', takes: 'DAYS' },
      { operator: 'IN_MONTH', words: 'is in the month of', takes: 'MONTH' },
      { operator: 'EMPTY', words: 'is empty', takes: 'NOTHING' }
    ]
  },
  {
    name: 'plan',
    label: 'Plan',
    type: 'CHOICE',
    choices: ['Oar', 'Sail'],
    comparisons: [{ operator: 'ANY_OF', words: 'is any of', takes: 'SOME' }]
  }
];
const before = { field: 'last_visit', operator: 'BEFORE', values: ['2025-05-01'] } as const;
const plan = { field: 'plan', operator: 'ANY_OF', values: ['Oar', 'Sail'] } as const;
const copy = (c: typeof before | typeof plan) => ({ ...c, values: [...c.values] });

describe('filter draft', () => {
  it('leaves out what is not filled in yet', () => {
    const draft = {
      kinds: ['member'],
      joint: 'ALL' as const,
      conditions: [copy(before), { ...copy(plan), values: [] }]
    };
    expect(toFilter(draft, fields)).toEqual({
      match: 'ALL',
      conditions: [
        { field: 'kind', operator: 'ANY_OF', values: ['member'] },
        { field: 'last_visit', operator: 'BEFORE', values: ['2025-05-01'] }
      ],
      groups: []
    });
  });
  it('keeps the kind outside of "or"', () => {
    const draft = {
      kinds: ['member'],
      joint: 'ANY' as const,
      conditions: [copy(before), copy(plan)]
    };
    const filter = toFilter(draft, fields);
    expect(filter.conditions.map((c) => c.field)).toEqual(['kind']);
    expect(filter.groups[0]?.match).toBe('ANY');
    expect(filter.groups[0]?.conditions).toHaveLength(2);
  });
  it('reads as tokens', () => {
    expect(token(copy(before), fields, calendarDay)).toEqual({
      label: 'last visit',
      words: 'is before',
      values: '1 May 2025'
    });
    expect(token(copy(plan), fields, calendarDay).values).toBe('Oar, Sail');
    const days = { field: 'last_visit', operator: 'IN_LAST_DAYS' as const, values: ['30'] };
    expect(Object.values(token(days, fields, calendarDay)).join(' ')).toBe(
      'last visit was in the last 30 days'
    );
    const april = { field: 'last_visit', operator: 'IN_MONTH' as const, values: ['4'] };
    expect(token(april, fields, calendarDay).values).toBe('April');
  });
  it('keeps a value that still fits when the comparison changes', () => {
    expect(compareBy(copy(before), 'BETWEEN', fields).values).toEqual(['2025-05-01']);
    expect(compareBy(copy(before), 'IN_LAST_DAYS', fields).values).toEqual([]);
    expect(isReady(compareBy(copy(before), 'BETWEEN', fields), fields)).toBe(false);
    expect(isReady(compareBy(copy(before), 'EMPTY', fields), fields)).toBe(true);
  });
  it('begins with the comparison most often wanted', () => {
    expect(begin(fields[0]!).operator).toBe('BEFORE');
    expect(begin(fields[1]!).operator).toBe('ANY_OF');
  });
  it('switches words and names kinds', () => {
    expect(toggled(['Oar'], 'Sail')).toEqual(['Oar', 'Sail']);
    expect(toggled(['Oar', 'Sail'], 'Oar')).toEqual(['Sail']);
    expect(kindsWords([])).toBe('people');
    expect(kindsWords(['member', 'lead'])).toBe('members and leads');
  });
});
