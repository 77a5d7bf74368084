import { expect, test } from 'vitest';
import { everyone } from './draft';
import { draftOf, sideOf, sides } from './sides';

const all = sides(['call', 'visit']);

test('a side is known by its conditions, in any order', () => {
  for (const side of all) {
    const draft = draftOf(side);
    expect(sideOf({ ...draft, parts: [...draft.parts].reverse() }, all)).toBe(side);
  }
  expect(sideOf({ ...everyone, kinds: ['member'] }, all)).toBeNull();
  const mast = { field: 'title', operator: 'CONTAINS' as const, values: ['mast'] };
  expect(sideOf({ ...everyone, parts: [{ is: 'condition', condition: mast }] }, all)).toBeNull();
});

test('the kinds of the house have a side each, as far as there is room', () => {
  expect(all.map((side) => side.name)).toEqual([
    'Mine',
    'Mine: call',
    'Mine: visit',
    'Of all colleagues',
    'Done too'
  ]);
  expect(sides(Array.from({ length: 30 }, (_, i) => `k${i}`))).toHaveLength(8);
});
