import { expect, test } from 'vitest';
import { manyLetters, manyPages, manySheets } from './paper';

test('one is said otherwise than several', () => {
  expect([0, 1, 13, 1200].map(manyLetters)).toEqual([
    '0 letters',
    '1 letter',
    '13 letters',
    '1,200 letters'
  ]);
  expect([1, 2].map(manyPages)).toEqual(['1 page', '2 pages']);
  expect([1, 2].map(manySheets)).toEqual(['1 sheet', '2 sheets']);
});
