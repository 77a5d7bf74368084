import { describe, expect, it } from 'vitest';
import { asks, found, subjectOf, toWrite, type Known } from './findable';

const none: Known = {
  people: [],
  mailings: [],
  templates: [],
  lists: [],
  kept: [],
  typed: null,
  rights: ['WRITE_TO_ONE', 'IMPORT', 'TEMPLATES']
};
const filter = {
  match: 'ALL' as const,
  conditions: [{ field: 'plan', operator: 'ANY_OF' as const, values: ['Full'] }],
  related: [],
  groups: []
};
const typed = {
  seek: { subject: 'people' as const, filter },
  words: 'people whose plan is any of Full',
  unknown: []
};

describe('finder', () => {
  it('offers the screens before anything is typed', () => {
    expect(found('', none).map((f) => f.name)).toContain('People');
  });
  it('finds by any words, without case and accents', () => {
    const mailings = [{ id: 4, name: 'Été on the quay', state: 'DRAFT' }];
    expect(found('QUAY ete', { ...none, mailings })).toEqual([
      { name: 'Été on the quay', kind: 'mailing, draft', path: '/mailings/4' }
    ]);
  });
  it('shows the people whom the server found', () => {
    const people = [{ id: 7, name: 'Bea Okonjo' }];
    expect(found('okon', { ...none, people })[0]?.path).toBe('/people/7');
  });
  it('puts a search that is understood before what has such a name', () => {
    const templates = [{ id: 3, name: 'Plan full' }];
    expect(found('plan full', { ...none, templates, typed }).map((f) => f.name)).toEqual([
      'Show people whose plan is any of Full',
      'Plan full'
    ]);
    const half = { ...typed, unknown: ['zebra'] };
    const last = found('plan full', { ...none, templates, typed: half }).at(-1);
    expect(last?.kind).toBe('not understood: “zebra”');
    expect(toWrite(found('plan full', { ...none, typed: half }), 0)).toBeUndefined();
    expect(toWrite(found('plan full', { ...none, templates, typed }), 1)?.seek).toBe(typed.seek);
  });
  it('finds kept filters, lists and settings', () => {
    const kept = [{ ...typed.seek, kept: 'Gone quiet' }];
    expect(found('quiet', { ...none, kept })[0]?.seek?.kept).toBe('Gone quiet');
    const lists = [{ id: 1, name: 'Choir' }];
    expect(found('choir', { ...none, lists })[0]?.seek?.filter.conditions[0]?.values).toEqual([
      'Choir'
    ]);
    expect(found('hours', none)[0]?.path).toBe('/settings/sending');
  });
  it('offers readers nothing that would be refused', () => {
    const offered = found('', { ...none, rights: [] }).map((f) => f.name);
    expect(offered).not.toContain('Import people');
    expect(offered).not.toContain('New template');
    expect(offered).not.toContain('Write to people');
    expect(offered).not.toContain('History');
    expect(found('', { ...none, rights: ['COLLEAGUES'] }).map((f) => f.name)).toContain('History');
    expect(found('plan full', { ...none, typed, rights: [] })[0]?.kind).toBe('search');
  });
  it('knows which records are meant', () => {
    expect(subjectOf(' Quotes open ').subject).toBe('quotes');
    expect(subjectOf('members').subject).toBe('people');
    expect(asks(filter)).toBe(true);
    expect(asks({ ...filter, conditions: [] })).toBe(false);
  });
});
