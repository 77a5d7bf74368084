import type { OccasionTurn } from '$lib/api/types';
import { describe, expect, it } from 'vitest';
import {
  awaiting,
  fresh,
  inParts,
  inWords,
  lateWords,
  offsetWords,
  roundsOf,
  standsWords,
  yearsWords
} from './occasion';

const turn = (more: Partial<OccasionTurn>): OccasionTurn => ({
  id: 1,
  causeId: 1,
  occasion: 'Birthday',
  personId: 1,
  name: 'Bea',
  day: '2026-11-27',
  years: 36,
  saidOn: '2026-11-27',
  leaves: 'NOD',
  state: 'AWAITS',
  reason: '',
  lastVisit: null,
  lastHeard: null,
  ownWords: false,
  ...more
});

describe('round years as they are typed', () => {
  it.each([
    ['10, 25 50', [10, 25, 50]],
    ['', []],
    ['1;5', [1, 5]]
  ])('%s', (typed, years) => expect(roundsOf(typed)).toEqual(years));
  it.each(['ten', '0', '151', '2.5'])('%s is none', (typed) =>
    expect(roundsOf(typed)).toBeUndefined()
  );
});

describe('words', () => {
  it('say when', () => {
    expect([-7, -1, 0, 1, 14].map(offsetWords)).toEqual([
      '7 days before',
      'a day before',
      'on the day',
      'a day after',
      '14 days after'
    ]);
    expect(inWords({ ...fresh(1), rounds: [25, 50] }, 'Birthday')).toBe(
      'Birthday · on the day at 09:00 · after a nod · only 25, 50 years'
    );
  });
  it('say how many years', () => {
    expect([0, 1, 36].map((years) => yearsWords({ years }))).toEqual(['', '1 year', '36 years']);
  });
  it('say what is done with one that was missed', () => {
    expect(lateWords(turn({})).act).toBe('Send it late');
    expect(lateWords(turn({ leaves: 'TASK' })).act).toBe('Make the task');
  });
  it('say where a turn stands', () => {
    expect(standsWords(turn({ state: 'MISSED', reason: 'there is no first name' }))).toBe(
      'missed: there is no first name'
    );
    expect(standsWords(turn({ state: 'NODDED' }))).toBe('nodded, leaves at its hour');
    expect(standsWords(turn({ leaves: 'TASK' }))).toBe('a task will remind you');
  });
});

describe('turns', () => {
  const all = [
    turn({ id: 1 }),
    turn({ id: 2, saidOn: '2026-11-30' }),
    turn({ id: 3, state: 'MISSED', saidOn: '2026-11-20' }),
    turn({ id: 4, state: 'SENT' })
  ];
  it('are missed, of today, or later', () => {
    const parts = inParts(all, '2026-11-27');
    expect([parts.missed, parts.today, parts.later].map((p) => p.map((t) => t.id))).toEqual([
      [3],
      [1, 4],
      [2]
    ]);
  });
  it('await a nod or not', () => expect(awaiting(all).map((t) => t.id)).toEqual([1, 2]));
});
