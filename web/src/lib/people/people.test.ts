import type { ChangeTold } from '$lib/api/types';
import { describe, expect, it } from 'vitest';
import { offersTakingBack } from './person';
import { reachParts } from './reach';

describe('people', () => {
  it('have a tally that begins with who can be written to and adds up', () => {
    const parts = reachParts(
      [
        { reach: 'NO_ADDRESS', words: 'no address', people: 27 },
        { reach: 'READY', words: 'can be e-mailed', people: 1081 }
      ],
      1108
    );
    expect(parts.map((p) => p.key)).toEqual(['READY', 'NO_ADDRESS', 'all']);
    expect(parts.slice(0, -1).reduce((sum, p) => sum + p.count, 0)).toBe(parts.at(-1)?.count);
  });

  const change = (act: number, field: string, mayBeUndone = true): ChangeTold => ({
    id: act * 10,
    act,
    field,
    before: '',
    after: 'x',
    at: '2026-05-01T08:00:00Z',
    by: 'Wilma Roth',
    words: `Act ${act}`,
    undone: false,
    mayBeUndone
  });

  it.each([
    [
      'once an act, at its newest change',
      [change(2, 'stage'), change(2, 'tags'), change(1, 'stage')],
      [true, false, true]
    ],
    [
      'never what somebody else did, or the person themself',
      [change(3, 'asked_not', false)],
      [false]
    ],
    [
      'never that somebody was put on record',
      [change(2, 'stage'), change(1, 'first_name'), change(1, 'person')],
      [true, false, false]
    ]
  ])('offer to take a change back %s', (_, history, offered) => {
    expect(history.map((_, place) => offersTakingBack(history, place))).toEqual(offered);
  });
});
