import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { whenQuiet } from './whenQuiet';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

describe('what can wait', () => {
  it('comes once nothing has been fetched for a moment', () => {
    let busy = true;
    const then = vi.fn();
    whenQuiet(() => busy, then);
    vi.advanceTimersByTime(700);
    busy = false;
    vi.advanceTimersByTime(200);
    busy = true;
    vi.advanceTimersByTime(100);
    busy = false;
    vi.advanceTimersByTime(250);
    expect(then).not.toHaveBeenCalled();
    vi.advanceTimersByTime(100);
    expect(then).toHaveBeenCalledTimes(1);
    vi.advanceTimersByTime(5000);
    expect(then).toHaveBeenCalledTimes(1);
  });
  it('is not put off for ever', () => {
    const then = vi.fn();
    whenQuiet(() => true, then);
    vi.advanceTimersByTime(2050);
    expect(then).toHaveBeenCalledTimes(1);
  });
  it('is given up with its screen', () => {
    const then = vi.fn();
    whenQuiet(() => false, then)();
    vi.advanceTimersByTime(5000);
    expect(then).not.toHaveBeenCalled();
  });
});
