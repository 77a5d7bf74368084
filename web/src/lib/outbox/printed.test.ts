import type { LetterRun } from '$lib/api/types';
import { expect, test } from 'vitest';
import { printedWords } from './printed';

const run = (of: Partial<LetterRun>) =>
  printedWords({ letters: 13, pages: 13, sheets: 13, ofDocument: false, ...of } as LetterRun);

test('what lies in the file is said in letters, pages and, where they are fewer, sheets', () => {
  expect(run({})).toBe('13 letters on 13 pages');
  expect(run({ pages: 26 })).toBe('13 letters on 26 pages, 13 sheets');
  expect(run({ ofDocument: true, sheets: 0 })).toBe('13 letters in one document');
});
