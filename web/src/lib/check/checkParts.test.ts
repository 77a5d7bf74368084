import type { CheckResult } from '$lib/api/types';
import { describe, expect, it } from 'vitest';
import { blockers, checkParts, whichOf } from './checkParts';

const check: CheckResult = {
  total: 1126,
  texts: null,
  paper: null,
  ways: [{ channel: 'EMAIL', words: 'E-mail', people: 3, sound: 2 }],
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

describe('the tally of a mailing of two ways', () => {
  const both: CheckResult = {
    ...check,
    ready: 5,
    needLook: 1,
    ways: [
      { channel: 'TEXT', words: 'Text message', people: 3, sound: 3 },
      { channel: 'EMAIL', words: 'E-mail', people: 2, sound: 1 }
    ]
  };
  it('says how those who are ready are reached, and still adds up', () => {
    const parts = checkParts(both);
    expect(parts.slice(0, 3).map((p) => `${p.count} ${p.words}`)).toEqual([
      '3 ready by text',
      '1 ready by e-mail',
      '1 needs a look'
    ]);
    expect(parts.slice(0, 3).reduce((sum, p) => sum + p.count, 0)).toBe(both.ready);
  });
  it('opens the people of a way', () => {
    expect(whichOf('BY_TEXT', both)).toEqual({
      part: 'READY',
      channel: 'TEXT',
      words: 'ready by text'
    });
  });
});
