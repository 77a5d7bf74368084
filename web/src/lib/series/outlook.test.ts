import { describe, expect, it } from 'vitest';
import { dayWords, largest, overCap } from './outlook';

const day = (messages: number, others: number) => ({
  day: '2026-11-30',
  messages,
  others,
  steps: { '1': 1200, '2': 40 }
});

describe('a day ahead', () => {
  it('is told by step', () => expect(dayWords(day(1240, 0))).toBe('step 1: 1,200, step 2: 40'));
  it('is over the cap with what others send', () => {
    expect(overCap(day(400, 101), 500)).toBe(true);
    expect(overCap(day(400, 100), 500)).toBe(false);
    expect(overCap(day(400, 100), null)).toBe(false);
  });
  it('is drawn as a share of the largest', () => {
    expect(largest([day(10, 5), day(12, 0)])).toBe(15);
    expect(largest([])).toBe(1);
  });
});
