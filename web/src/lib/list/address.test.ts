import type { Filter } from '$lib/api/types';
import { describe, expect, it } from 'vitest';
import { queryOf, shownBy, type Shown } from './address';

const filter: Filter = {
  match: 'ALL',
  conditions: [{ field: 'name', operator: 'CONTAINS', values: ['Zoë & <b>"Ōe"'] }],
  related: [
    {
      kind: 'QUOTE',
      atLeast: 2,
      where: {
        match: 'ALL',
        conditions: [{ field: 'stage', operator: 'ANY_OF', values: ['open'] }],
        related: [],
        groups: []
      }
    }
  ],
  groups: [{ match: 'NONE', conditions: [], related: [], groups: [] }]
};
const shown: Shown = {
  filter,
  part: 'READY',
  archived: true,
  sortBy: 'last_visit',
  descending: true
};
const read = (query: string) => shownBy(new URLSearchParams(query));

describe('the address of a list', () => {
  it('says all that is shown, and is read back to the same', () => {
    expect(read(queryOf(shown))).toEqual(shown);
    const plain = { ...shown, part: null, archived: false, sortBy: null, descending: false };
    expect(read(queryOf(plain))).toEqual(plain);
    const turned = { ...plain, descending: true };
    expect(read(queryOf(turned))).toEqual(turned);
  });
  it.each(['', 'show=', 'show={', 'show=[]', 'show={"match":"SOME"}', 'show=null', 'person=7'])(
    'is not believed when it is %s',
    (query) => expect(read(query)).toBeNull()
  );
  it('is not followed without end', () => {
    let deep = '{"match":"ALL"}';
    for (let i = 0; i < 20; i++) deep = `{"match":"ALL","groups":[${deep}]}`;
    expect(read(`show=${encodeURIComponent(deep)}`)).toBeNull();
  });
});
