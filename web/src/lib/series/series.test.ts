import type { SeriesStep } from '$lib/api/types';
import { describe, expect, it } from 'vitest';
import {
  blankStep,
  bodyOfStep,
  daysOfSteps,
  gapBefore,
  hadWords,
  mayGoUp,
  movedUp,
  touchedWords
} from './series';

const step = (over: Partial<SeriesStep>): SeriesStep => ({
  id: 1,
  place: 1,
  waitCount: 0,
  waitUnit: 'MINUTES',
  waitAt: null,
  waits: 'at once',
  inThread: false,
  meant: [],
  causeId: 9,
  subject: 'Hello',
  body: '<p>Hello</p>',
  letterheadId: null,
  promotional: true,
  sent: 0,
  waiting: 0,
  without: 0,
  opened: 0,
  clicked: 0,
  replied: 0,
  returned: 0,
  leftList: 0,
  ...over
});

describe('the line of a series', () => {
  it('counts the day of coming in as the first', () => {
    const steps = [
      step({}),
      step({ waitCount: 3, waitUnit: 'DAYS' }),
      step({ waitCount: 30, waitUnit: 'HOURS' }),
      step({ waitCount: 5, waitUnit: 'WORKING_DAYS' })
    ];
    expect(daysOfSteps(steps)).toEqual([1, 4, 5, 12]);
  });
  it('is longer where the wait is, and never a page', () => {
    expect([0, 1, 2].map((at) => gapBefore([1, 4, 90], at))).toEqual([10, 28, 72]);
  });
});

describe('a step', () => {
  it('says who had it', () => {
    expect(hadWords(step({}))).toBe('nobody has had it yet');
    expect(hadWords(step({ sent: 40, waiting: 1, without: 2 }))).toBe(
      '40 people got it · 1 person will in a moment · 2 people passed over'
    );
  });
  it('says whom a change touches', () => {
    expect(touchedWords(step({}), 0)).toBe('');
    expect(touchedWords(step({}), 3)).toContain('for all');
    expect(touchedWords(step({ sent: 1 }), 3)).toContain('1 person is past this step');
    expect(touchedWords(step({ sent: 40, without: 2 }), 60)).toContain('42 people are past');
  });
  it('changes places only among those nobody has had', () => {
    const steps = [step({ id: 1, sent: 3 }), step({ id: 2 }), step({ id: 3 })];
    expect(steps.map((_, at) => mayGoUp(steps, at))).toEqual([false, false, true]);
    expect(movedUp(steps, 2)).toEqual([1, 3, 2]);
  });
  it('begins three days after the one before, the first at once', () => {
    expect(blankStep(true, '').waitCount).toBe(0);
    expect(blankStep(false, '')).toMatchObject({ waitCount: 3, waitUnit: 'DAYS' });
  });
  it('is changed as it was', () => {
    expect(bodyOfStep(step({ waitAt: '09:00:00', inThread: true }))).toMatchObject({
      waitAt: '09:00',
      inThread: true,
      subject: 'Hello'
    });
  });
});
