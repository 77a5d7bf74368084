import type { SeriesStep } from '$lib/api/types';
import { describe, expect, it } from 'vitest';
import {
  blankStep,
  bodyOfStep,
  dropWords,
  gapBefore,
  mayGoUp,
  movedUp,
  shareWords,
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
  ways: { ways: ['EMAIL'], text: null, notice: null, paper: null },
  day: 1,
  next: 0,
  sent: 0,
  waiting: 0,
  without: 0,
  opened: 0,
  clicked: 0,
  replied: 0,
  returned: 0,
  leftList: 0,
  shares: [],
  ...over
});

describe('the line of a series', () => {
  it('is longer where the wait is, and never a page', () => {
    const steps = [step({ day: 1 }), step({ day: 4 }), step({ day: 90 }), step({ day: null })];
    expect(steps.map((_, at) => gapBefore(steps, at))).toEqual([8, 23, 56, 8]);
  });
});

describe('a step', () => {
  it('says its shares with the interval, and what its bar shows', () => {
    const share = { what: 'opened', count: 81, share: 81 / 263, low: 0.2553, high: 0.3662 };
    expect(shareWords(share)).toBe('31% opened (26–37%)');
    expect(dropWords(step({ sent: 1, opened: 1 }), 40)).toBe(
      '1 person of 40 people got it, 1 person opened it'
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
