import { describe, expect, it } from 'vitest';
import {
  boundOf,
  boundWords,
  DAYS,
  daysWords,
  gapIn,
  gapWords,
  hoursWords,
  lengthWords,
  minutesOf,
  roundGap,
  timeOf
} from './planWords';

describe('hours of the week', () => {
  const weekdays = DAYS.slice(0, 5).map((day) => ({ day, from: 540, to: 720 }));

  it('stand together where they are the same', () => {
    expect(hoursWords(weekdays)).toBe('Mon–Fri 09:00–12:00');
    expect(hoursWords([...weekdays, { day: 'SATURDAY', from: 600, to: 660 }])).toBe(
      'Mon–Fri 09:00–12:00, Sat 10:00–11:00'
    );
    expect(hoursWords(DAYS.map((day) => ({ day, from: 0, to: 1440 })))).toBe('at any time');
  });

  it('name days that do not follow one another', () => {
    expect(daysWords([0, 2])).toBe('Mon, Wed');
    expect(daysWords([4, 5])).toBe('Fri, Sat');
    expect(daysWords([0, 1, 2, 5])).toBe('Mon–Wed, Sat');
    expect(daysWords([6, 5, 4, 3, 2, 1, 0])).toBe('every day');
  });

  it('are read as clocks show them', () => {
    expect(timeOf(1440)).toBe('24:00');
    expect(minutesOf('09:05')).toBe(545);
    expect(minutesOf('24:00')).toBe(1440);
    expect(minutesOf('24:01')).toBeNull();
    expect(minutesOf('')).toBeNull();
  });
});

describe('lengths of time', () => {
  it('are in the longest whole unit', () => {
    expect(gapIn(900)).toEqual({ number: 15, unit: 60 });
    expect(gapIn(5400)).toEqual({ number: 90, unit: 60 });
    expect(gapIn(0)).toEqual({ number: 0, unit: 60 });
    expect(gapWords(3600)).toBe('1 hour');
    expect(gapWords(15)).toBe('15 seconds');
    expect(gapWords(2699)).toBe('2699 seconds');
  });

  it('are rounded down to what somebody would say', () => {
    expect(roundGap(701_940)).toBe(8 * 86_400);
    expect(roundGap(2699)).toBe(44 * 60);
    expect(roundGap(90)).toBe(90);
    expect(roundGap(0)).toBe(0);
  });

  it('say their two greatest parts', () => {
    expect(lengthWords(48_600)).toBe('13 h 30 min');
    expect(lengthWords(2 * 86_400 + 4 * 3600 + 60)).toBe('2 days 4 h');
    expect(lengthWords(-86_400)).toBe('1 day');
    expect(lengthWords(40)).toBe('40 s');
    expect(lengthWords(0)).toBe('0 s');
  });
});

describe('what binds', () => {
  it('is named once, the hours first', () => {
    const day = { day: '2026-03-24', messages: 1, hours: [] };
    const days = [
      { ...day, bound: ['Orla Finch', 'hours'] },
      { ...day, bound: ['Orla Finch'] }
    ];
    expect(boundWords(boundOf(days))).toBe('the hours and the cap of Orla Finch');
    expect(boundWords(['quiet hours'])).toBe('the quiet hours');
    expect(boundWords([])).toBe('');
  });
});
