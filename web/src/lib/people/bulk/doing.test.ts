import { expect, it } from 'vitest';
import { outcome } from './doing';

it('says how many changed and how many were so already', () => {
  expect(outcome('Tagged “regatta”', 12, 12)).toBe('Tagged “regatta”: 12 people.');
  expect(outcome('Tagged “regatta”', 1, 2)).toBe('Tagged “regatta”: 1 person; 1 stays as it was.');
  expect(outcome('Archived', 1080, 1090)).toBe('Archived: 1,080 people; 10 stay as they were.');
});
