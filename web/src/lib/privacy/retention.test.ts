import { describe, expect, it } from 'vitest';
import { counted, readMonths } from './retention';

describe('what goes next', () => {
  it.each([
    ['COPIES', 0, 'no copies of messages'],
    ['COPIES', 1, '1 copy of a message'],
    ['ARCHIVED', 2, '2 archived people'],
    ['RESPONSES', 12345, '12,345 notes of responses']
  ] as const)('%s %i', (kept, count, words) => expect(counted(kept, count)).toBe(words));
});

describe('months', () => {
  it.each([
    ['', null],
    ['  ', null],
    ['24', 24],
    [' 3 ', 3]
  ])('%j', (text, months) => expect(readMonths(text)).toBe(months));
});
