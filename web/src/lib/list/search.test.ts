import { everyone } from '$lib/filter/draft';
import { describe, expect, it } from 'vitest';
import { searches } from './search.svelte';
import { nobody, takeAll } from './selection';

describe('a list', () => {
  it('lets the picked go when others are looked for', () => {
    const search = searches.people;
    search.selection = takeAll();
    search.part = 'NO_ADDRESS';
    search.change({ ...everyone, kinds: ['lead'] });
    expect(search.selection).toBe(nobody);
    expect(search.part).toBeNull();
    expect(search.draft.kinds).toEqual(['lead']);
  });
  it('shows a kept filter with its columns until it is changed', () => {
    const search = searches.quotes;
    const layout = { columns: ['number'], widths: {}, sortBy: 'number', descending: false };
    search.show({
      id: 1,
      name: 'Open',
      filter: { match: 'ALL', conditions: [], related: [], groups: [] },
      layout,
      shared: true,
      mine: true,
      by: 'Orla Finch'
    });
    expect(search.layout).toEqual(layout);
    expect(search.kept).toBe('Open');
    search.change(everyone);
    expect(search.kept).toBeNull();
  });
});
