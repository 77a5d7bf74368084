import { expect, test } from 'vitest';
import { dueWords, isLate } from './due';

test('a day is named as people name it', () => {
  expect(dueWords('2026-03-27', '2026-03-27')).toBe('Today');
  expect(dueWords('2026-03-25', '2026-03-27')).toBe('Wed');
  expect(dueWords('2026-03-20', '2026-03-27')).toBe('20 Mar');
  expect(isLate('2026-03-26', '2026-03-27')).toBe(true);
  expect(isLate('2026-03-27', '2026-03-27')).toBe(false);
});
