import type { FollowRule } from '$lib/api/types';
import { describe, expect, test } from 'vitest';
import {
  blankAct,
  blankRule,
  bodyOf,
  mayFollow,
  partsOf,
  turned,
  withoutRule,
  withRule
} from './rules';

function rule(place: number, part: Partial<FollowRule> = {}): FollowRule {
  return {
    id: place * 10,
    place,
    whom: 'NO_REPLY',
    waitCount: 4,
    waitUnit: 'DAYS',
    after: null,
    on: null,
    except: [],
    act: blankAct('SEND'),
    ways: null,
    body: '<p>x</p>',
    words: '',
    errors: [],
    stopped: false,
    will: null,
    first: null,
    last: null,
    done: 0,
    not: 0,
    ...part
  };
}

describe('rules', () => {
  test('the next rule waits from what the last one did, and the first from the mailing', () => {
    expect(blankRule([]).after).toBeNull();
    expect(blankRule([], '<p>Again</p>').body).toBe('<p>Again</p>');
    const atOnce = rule(2, { whom: null, on: 'REPLIED' });
    expect(blankRule([rule(1), atOnce]).after).toBe(1);
  });

  test('one that acts at once sends nothing', () => {
    const turnedOne = turned(blankRule([]), true);
    expect(turnedOne.act.kind).toBe('TASK');
    expect(turnedOne.on).toBe('REPLIED');
    expect(turnedOne.whom).toBeNull();
    expect(turned(turnedOne, false)).toMatchObject({ whom: 'NO_REPLY', on: null });
  });

  test('a changed rule keeps its place, a new one comes last', () => {
    const rules = [rule(1), rule(2)];
    const changed = { ...bodyOf(rules[0]!), waitCount: 7 };
    expect(withRule(rules, changed).map((r) => r.waitCount)).toEqual([7, 4]);
    expect(withRule(rules, blankRule(rules)).map((r) => r.id)).toEqual([10, 20, null]);
  });

  test('what waited from a rule that is taken away waits from what that one waited from', () => {
    const rules = [rule(1), rule(2, { after: 1 }), rule(3, { after: 2 }), rule(4, { after: 3 })];
    expect(withoutRule(rules, rules[1]!).map((r) => r.after)).toEqual([null, 1, 2]);
    expect(withoutRule(rules, rules[0]!).map((r) => r.after)).toEqual([null, 1, 2]);
  });

  test('a rule can wait from earlier ones that wait themselves', () => {
    const rules = [rule(1), rule(2, { whom: null, on: 'OPENED' }), rule(3)];
    expect(mayFollow(rules, 30).map((r) => r.place)).toEqual([1]);
    expect(mayFollow(rules, null).map((r) => r.place)).toEqual([1, 3]);
  });

  test('parts without anybody are not named', () => {
    expect(partsOf(rule(1))).toEqual([]);
    expect(partsOf(rule(1, { will: 3, done: 2, not: 1 })).map((p) => p.which)).toEqual([
      'WILL',
      'DONE',
      'NOT'
    ]);
  });
});
