import { expect, test } from 'vitest';
import { sumWords } from './paperSum';

const sum = (letters: number, pages: number, sheetsBothSides: number) =>
  sumWords({ letters, pages, sheets: pages, sheetsBothSides, longest: 2 });

test('letters, pages and sheets are said in one line', () => {
  expect(sum(13, 13, 13)).toBe('13 letters, 1 page each: 13 sheets');
  expect(sum(1, 1, 1)).toBe('1 letter of 1 page: 1 sheet');
  expect(sum(1, 3, 2)).toBe('1 letter of 3 pages: 3 sheets, or 2 sheets printed on both sides');
  expect(sum(1200, 1410, 1205)).toBe(
    '1,200 letters, 1,410 pages, the longest of 2: 1,410 sheets, or 1,205 sheets printed on both sides'
  );
});
