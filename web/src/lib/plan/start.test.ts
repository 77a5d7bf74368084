import { describe, expect, it } from 'vitest';
import { atTime, tomorrowAtNine } from './start';

describe('a start', () => {
  const late = new Date('2026-03-24T23:30:00Z');

  it('is on the next day where the workspace is', () => {
    expect(tomorrowAtNine('Europe/London', late)).toBe('2026-03-25T09:00:00');
    expect(tomorrowAtNine('Europe/Helsinki', late)).toBe('2026-03-26T09:00:00');
  });

  it('keeps its day at another time', () => {
    expect(atTime('2026-04-02T09:00:00', '08:45', 'Europe/London')).toBe('2026-04-02T08:45:00');
    expect(atTime(null, '08:45', 'Europe/London', late)).toBe('2026-03-25T08:45:00');
  });
});
