import type { CheckResult } from '$lib/api/types';
import { describe, expect, it } from 'vitest';
import { blockers, checkParts, whichOf } from './checkParts';

const check: CheckResult = {
  total: 1126,
  first: null,
  ready: 1081,
  ownWords: 0,
  lacks: {},
  needLook: 7,
  cannot: [
    { reach: 'NO_ADDRESS', words: 'no address', people: 27 },
    { reach: 'ASKED_NOT', words: 'asked not to be written to', people: 18 }
  ],
  findings: [
    { severity: 'BLOCKER', code: 'BLANK_LEFT', about: '[day]', sentence: 'A blank.', people: 0 },
    { severity: 'NOTICE', code: 'NAME_CAPITALS', about: 'first_name', sentence: '7', people: 7 }
  ]
};

describe('the tally of a mailing', () => {
  it('adds up to everyone', () => {
    const parts = checkParts(check);
    expect(parts.map((p) => p.count)).toEqual([1074, 7, 27, 18]);
    expect(parts.reduce((sum, p) => sum + p.count, 0)).toBe(check.total);
  });
  it('opens its people', () => {
    expect(whichOf('NEED_LOOK', check)?.part).toBe('NEED_LOOK');
    expect(whichOf('NO_ADDRESS', check)).toEqual({ reach: 'NO_ADDRESS', words: 'no address' });
    expect(whichOf('LEFT_OUT', check)).toBeNull();
  });
  it('leaves out a part that is empty, and keeps blockers apart', () => {
    expect(checkParts({ ...check, needLook: 0 }).some((p) => p.key === 'NEED_LOOK')).toBe(false);
    expect(blockers(check)).toHaveLength(1);
  });
});
