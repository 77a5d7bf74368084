import type { ColleagueName } from '$lib/api/types';
import { expect, test } from 'vitest';
import { choosable } from './choosable';

test('who has left is not chosen any more, but stays where they were chosen', () => {
  const all = [
    { id: 1, off: false },
    { id: 2, off: true },
    { id: 3, off: true }
  ] as ColleagueName[];
  expect(choosable(all).map((c) => c.id)).toEqual([1]);
  expect(choosable(all, (c) => c.id === 3).map((c) => c.id)).toEqual([1, 3]);
  expect(choosable(undefined)).toEqual([]);
});
