import type { Filter, FilterField, RelatedFields } from '$lib/api/types';
import { calendarDay } from '$lib/format/dates';
import { describe, expect, it } from 'vitest';
import {
  begin,
  compareBy,
  fromFilter,
  isReady,
  kindsWords,
  toFilter,
  toggled,
  type DraftPart,
  type FilterDraft
} from './draft';
import { relatedWords, token } from './token';

type Comparison = FilterField['comparisons'][number];

function field(
  name: string,
  label: string,
  type: FilterField['type'],
  comparisons: [Comparison['operator'], string, Comparison['takes'], string?][],
  choices: string[] = []
): FilterField {
  return {
    name,
    label,
    type,
    choices,
    retired: [],
    column: true,
    editable: true,
    broughtIn: true,
    comparisons: comparisons.map(([operator, words, takes, after = '']) => ({
      operator,
      words,
      after,
      takes
    }))
  };
}

const fields: FilterField[] = [
  field('last_visit', 'Last visit', 'INSTANT', [
    ['BEFORE', 'is before', 'ONE'],
    ['BETWEEN', 'is between', 'TWO'],
    ['IN_LAST', 'was in the last', 'SPAN'],
    ['AGO', 'is more than', 'SPAN', 'ago'],
    ['IN_MONTH', 'is in', 'MONTH', 'of any year'],
    ['IN_PERIOD', 'is', 'PERIOD'],
    ['EMPTY', 'is empty', 'NOTHING']
  ]),
  field('plan', 'Plan', 'CHOICE', [['ANY_OF', 'is any of', 'SOME']], ['Oar', 'Sail']),
  field('owner', 'Owner', 'REFERENCE', [['ANY_OF', 'is any of', 'SOME']]),
  field('introduced_by', 'Introduced by', 'INTRODUCER', [['INTRODUCED', 'is', 'STEPS']])
];
const related: RelatedFields[] = [
  {
    kind: 'QUOTE',
    one: 'quote',
    many: 'quotes',
    fields: [field('stage', 'Stage', 'CHOICE', [['ANY_OF', 'is any of', 'SOME']], ['open'])]
  },
  { kind: 'OFFICE', one: 'office', many: 'offices', fields: [] }
];
const before = { field: 'last_visit', operator: 'BEFORE' as const, values: ['2025-05-01'] };
const plan = { field: 'plan', operator: 'ANY_OF' as const, values: ['Oar', 'Sail'] };
const open = { field: 'stage', operator: 'ANY_OF' as const, values: ['open'] };
const is = (condition: typeof plan | typeof before | typeof open): DraftPart => ({
  is: 'condition',
  condition
});
const draft = (match: Filter['match'], ...parts: DraftPart[]): FilterDraft => ({
  kinds: ['member'],
  match,
  parts
});
const quote = (...parts: DraftPart[]): DraftPart => ({
  is: 'related',
  kind: 'QUOTE',
  atLeast: 1,
  where: { match: 'ALL', parts }
});

describe('filter draft', () => {
  it('leaves out what is not filled in yet', () => {
    const filter = toFilter(
      draft('ALL', is(before), is({ ...plan, values: [] }), {
        is: 'group',
        group: { match: 'ANY', parts: [is({ ...plan, values: [] })] }
      }),
      fields,
      related
    );
    expect(filter).toEqual({
      match: 'ALL',
      conditions: [{ field: 'kind', operator: 'ANY_OF', values: ['member'] }, before],
      related: [],
      groups: []
    });
  });
  it('keeps the kind outside of "or"', () => {
    const filter = toFilter(draft('ANY', is(before), is(plan)), fields, related);
    expect(filter.conditions.map((c) => c.field)).toEqual(['kind']);
    expect(filter.groups[0]?.match).toBe('ANY');
    expect(filter.groups[0]?.conditions).toHaveLength(2);
  });
  it('asks for any record when nothing is said of it, never for none', () => {
    const filter = toFilter(draft('ANY', quote()), fields, related);
    expect(filter.groups[0]?.related?.[0]?.where).toEqual({
      match: 'ALL',
      conditions: [],
      related: [],
      groups: []
    });
    expect(toFilter(draft('ANY'), fields, related).groups).toEqual([]);
  });
  it('is built on again as it was', () => {
    const drafts = [
      draft('ALL', is(before), quote(is(open))),
      draft('ANY', is(before), is(plan)),
      draft('NONE', is(plan)),
      { ...draft('ANY', is(before), is(plan)), kinds: [] },
      draft('ALL', is(before), {
        is: 'group',
        group: { match: 'NONE', parts: [is(plan), quote()] }
      })
    ];
    for (const one of drafts) {
      expect(fromFilter(toFilter(one, fields, related))).toEqual(one);
    }
  });
});

describe('tokens', () => {
  const said = (c: Parameters<typeof token>[0]) =>
    Object.values(token(c, fields, calendarDay, (_, key) => (key === 'orla' ? 'Orla Finch' : key)))
      .filter(Boolean)
      .join(' ');
  it('read as the sentence does', () => {
    expect(token(before, fields, calendarDay)).toEqual({
      label: 'last visit',
      words: 'is before',
      values: '1 May 2025'
    });
    expect(said(plan)).toBe('plan is any of Oar, Sail');
    expect(said({ field: 'last_visit', operator: 'IN_LAST', values: ['1', 'weeks'] })).toBe(
      'last visit was in the last 1 week'
    );
    expect(said({ field: 'last_visit', operator: 'AGO', values: ['12', 'months'] })).toBe(
      'last visit is more than 12 months ago'
    );
    expect(said({ field: 'last_visit', operator: 'IN_MONTH', values: ['4'] })).toBe(
      'last visit is in April of any year'
    );
    expect(said({ field: 'last_visit', operator: 'IN_MONTH', values: ['this'] })).toBe(
      'last visit is in this month of any year'
    );
    expect(said({ field: 'last_visit', operator: 'IN_PERIOD', values: ['last week'] })).toBe(
      'last visit is last week'
    );
    expect(said({ field: 'owner', operator: 'ANY_OF', values: ['orla', 'tomas'] })).toBe(
      'owner is any of Orla Finch, tomas'
    );
    expect(said({ field: 'introduced_by', operator: 'INTRODUCED', values: ['me', '3'] })).toBe(
      'introduced by me within 3 steps'
    );
  });
  it('say how many records are meant', () => {
    expect(relatedWords(related[0]!, 1)).toBe('have a quote');
    expect(relatedWords(related[1]!, 1)).toBe('have an office');
    expect(relatedWords(related[0]!, 0)).toBe('have no quote');
    expect(relatedWords(related[0]!, 3)).toBe('have at least 3 quotes');
  });
});

describe('conditions', () => {
  it('keep a value that still fits when the comparison changes', () => {
    expect(compareBy(before, 'BETWEEN', fields).values).toEqual(['2025-05-01']);
    expect(compareBy(before, 'IN_LAST', fields).values).toEqual(['30', 'days']);
    expect(isReady(compareBy(before, 'BETWEEN', fields), fields)).toBe(false);
    expect(isReady(compareBy(before, 'EMPTY', fields), fields)).toBe(true);
  });
  it('begin with the comparison most often wanted', () => {
    expect(begin(fields[0]!).operator).toBe('BEFORE');
    expect(begin(fields[1]!).operator).toBe('ANY_OF');
    expect(begin(fields[3]!).values).toEqual(['me', '1']);
  });
  it('switch words and name kinds', () => {
    expect(toggled(['Oar'], 'Sail')).toEqual(['Oar', 'Sail']);
    expect(toggled(['Oar', 'Sail'], 'Oar')).toEqual(['Sail']);
    expect(kindsWords([])).toBe('people');
    expect(kindsWords(['member', 'lead'])).toBe('members and leads');
  });
});
