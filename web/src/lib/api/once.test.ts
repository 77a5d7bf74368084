import { describe, expect, it } from 'vitest';
import { isAct, Once } from './once';

describe('keys of acts', () => {
  it('are the same while the answer is awaited or was lost, and new after it has come', () => {
    let number = 0;
    const once = new Once(() => `key-${++number}`);
    expect(once.key('POST /api/mail/1/answer yes')).toBe('key-1');
    expect(once.key('POST /api/mail/1/answer yes')).toBe('key-1');
    expect(once.key('POST /api/mail/1/answer no')).toBe('key-2');
    once.answered('POST /api/mail/1/answer yes');
    expect(once.key('POST /api/mail/1/answer yes')).toBe('key-3');
  });

  it('belong to what changes something', () => {
    expect(isAct('POST', '/api/mail/1/answer')).toBe(true);
    expect(isAct('DELETE', '/api/lists/1')).toBe(true);
    expect(isAct('GET', '/api/lists')).toBe(false);
    expect(isAct('POST', '/api/people/tally/watch')).toBe(false);
    expect(isAct('POST', '/api/records/quotes/people')).toBe(false);
    expect(isAct('POST', '/api/mailings/3/plan')).toBe(false);
  });
});
