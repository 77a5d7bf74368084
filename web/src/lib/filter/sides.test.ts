import { expect, test } from 'vitest';
import { everyone } from './draft';
import { draftOf, sideOf, SIDES } from './sides';

test('a side is known by its conditions, in any order', () => {
  for (const side of SIDES) {
    const draft = draftOf(side);
    expect(sideOf({ ...draft, parts: [...draft.parts].reverse() })).toBe(side);
  }
  expect(sideOf({ ...everyone, kinds: ['member'] })).toBeNull();
  const mast = { field: 'title', operator: 'CONTAINS' as const, values: ['mast'] };
  expect(sideOf({ ...everyone, parts: [{ is: 'condition', condition: mast }] })).toBeNull();
});
