import { everyone } from '$lib/filter/draft';
import { expect, it } from 'vitest';
import { search } from './search.svelte';
import { nobody, takeAll } from './selection';

it('lets the picked go when other people are looked for', () => {
  search.selection = takeAll;
  search.reach = 'NO_ADDRESS';
  search.change({ ...everyone, kinds: ['lead'] });
  expect(search.selection).toBe(nobody);
  expect(search.reach).toBeNull();
  expect(search.draft.kinds).toEqual(['lead']);
});
