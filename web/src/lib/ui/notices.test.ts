import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { notices } from './notices.svelte';

beforeEach(() => vi.useFakeTimers());
afterEach(() => {
  notices.list = [];
  vi.useRealTimers();
});

describe('notices', () => {
  it('go by themselves, those about trouble later', () => {
    notices.say('Saved.');
    notices.fail(new Error('It could not be sent.'));
    vi.advanceTimersByTime(7000);
    expect(notices.list.map((n) => n.words)).toEqual(['It could not be sent.']);
    vi.advanceTimersByTime(6000);
    expect(notices.list).toEqual([]);
  });
  it('are three at the most, the newest last', () => {
    for (const words of ['a', 'b', 'c', 'd']) notices.say(words);
    expect(notices.list.map((n) => n.words)).toEqual(['b', 'c', 'd']);
  });
  it('carry their undo', () => {
    const undo = vi.fn();
    notices.say('Left out.', undo);
    notices.list[0]?.undo?.();
    expect(undo).toHaveBeenCalledOnce();
  });
  it('say something even of an error that is none', () => {
    notices.fail('odd');
    expect(notices.list[0]?.words).toBe('Something went wrong.');
  });
});
