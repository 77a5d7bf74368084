import { expect, test } from 'vitest';
import { broughtInWords } from './broughtIn';

test('what became of a file of addresses', () => {
  const words = (lines: number, added: number, wrong: string[] = []) =>
    broughtInWords({ lines, added, wrong }, String);
  expect(words(0, 0)).toBe('There is no address in this file.');
  expect(words(3, 3)).toBe('3 of 3 addresses are added.');
  expect(words(4, 2, ['Ann'])).toBe(
    '2 of 4 addresses are added; the others were there already. No address: “Ann”.'
  );
});
