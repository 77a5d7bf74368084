import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { lately } from './dates';
import { follow, now } from './now';

beforeEach(() => {
  vi.useFakeTimers({ now: Date.parse('2026-03-24T09:00:00Z') });
});

afterEach(() => {
  vi.useRealTimers();
});

test("follows the server's clock, not the machine's", () => {
  follow('2026-03-26T09:00:00Z', 1);
  vi.advanceTimersByTime(60_000);
  expect(now().toISOString()).toBe('2026-03-26T09:01:00.000Z');
  expect(lately('2026-03-25T09:00:00Z', 'UTC')).toBe('yesterday, 09:00');
});

test('a clock that runs sixty times as fast gains an hour a minute', () => {
  follow('2026-03-24T12:00:00Z', 60);
  vi.advanceTimersByTime(60_000);
  expect(now().toISOString()).toBe('2026-03-24T13:00:00.000Z');
});
