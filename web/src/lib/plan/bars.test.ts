import { describe, expect, it } from 'vitest';
import { closedBy, hourTicks, namedDays, planBars, runBars, scaleOf } from './bars';

const tuesday = {
  day: '2026-03-24',
  messages: 60,
  hours: [
    { hour: 9, messages: 40 },
    { hour: 11, messages: 20 }
  ],
  bound: ['hours']
};

describe('bars of a plan', () => {
  it('keep the empty hours, and show some hours around a few', () => {
    const [day] = planBars([tuesday]);
    expect(day?.bars.map((b) => [b.hour, b.planned])).toEqual([
      [6, 0],
      [7, 0],
      [8, 0],
      [9, 40],
      [10, 0],
      [11, 20],
      [12, 0],
      [13, 0],
      [14, 0]
    ]);
  });

  it('show the same hours on every day', () => {
    const wednesday = { ...tuesday, day: '2026-03-25', hours: [{ hour: 20, messages: 60 }] };
    const days = planBars([tuesday, wednesday]);
    expect(days.map((d) => [d.bars[0]?.hour, d.bars.at(-1)?.hour])).toEqual([
      [9, 20],
      [9, 20]
    ]);
  });

  it('say in which hours nothing may leave', () => {
    const closed = closedBy([{ day: 'TUESDAY', from: 9 * 60 + 30, to: 12 * 60 }]);
    expect([8, 9, 11, 12].map((hour) => closed('2026-03-24', hour))).toEqual([
      true,
      false,
      false,
      true
    ]);
    expect(closed('2026-03-25', 10)).toBe(true);
    expect(closedBy(null)('2026-03-25', 3)).toBe(false);
    expect(planBars([tuesday], closed)[0]?.bars.filter((b) => b.closed)).toHaveLength(6);
  });

  it('keep a day on which nothing leaves because something held it back', () => {
    const monday = { day: '2026-03-23', messages: 0, hours: [], bound: ['hours'] };
    const days = planBars([monday, tuesday]);
    expect(days.map((d) => [d.day, d.planned, d.bars.length])).toEqual([
      ['2026-03-23', 0, 9],
      ['2026-03-24', 60, 9]
    ]);
  });

  it('are days where the plan goes over many', () => {
    const days = planBars([{ day: '2026-03-24', messages: 7, hours: [], bound: [] }]);
    expect(days[0]?.bars).toEqual([
      { day: '2026-03-24', hour: null, planned: 7, sent: 0, closed: false }
    ]);
    expect(hourTicks(days)).toEqual([]);
  });

  it('stand on a scale that is a round number', () => {
    const of = (messages: number) =>
      scaleOf(planBars([{ day: '2026-03-24', messages, hours: [], bound: [] }]));
    expect([0, 1, 3, 40, 58, 101, 1000].map(of)).toEqual([1, 1, 5, 50, 100, 200, 1000]);
  });

  it('have as many hours written below as there is room for', () => {
    expect(hourTicks(planBars([tuesday]))).toEqual([6, 9, 12]);
    const days = Array.from({ length: 10 }, (_, i) => ({ ...tuesday, day: `2026-04-1${i}` }));
    expect(hourTicks(planBars(days))).toEqual([6]);
  });
});

it('names each of few days, and of many as there is room', () => {
  expect(namedDays(0)).toEqual([]);
  expect(namedDays(3)).toEqual([0, 1, 2]);
  expect(namedDays(7)).toEqual([0, 1, 2, 3, 4, 5, 6]);
  expect(namedDays(9)).toEqual([0, 2, 4, 6]);
  expect(namedDays(68)).toEqual([0, 10, 20, 30, 40, 50]);
});

describe('bars of a mailing under way', () => {
  it('set what has left beside what was planned', () => {
    const days = runBars([
      { hour: '2026-03-24T09:00:00', planned: 40, sent: 30 },
      { hour: '2026-03-24T10:00:00', planned: 0, sent: 10 },
      { hour: '2026-03-25T09:00:00', planned: 5, sent: 0 }
    ]);
    expect(days.map((d) => [d.day, d.planned, d.sent])).toEqual([
      ['2026-03-24', 40, 40],
      ['2026-03-25', 5, 0]
    ]);
  });

  it('are none before anything is known', () => {
    expect(runBars([])).toEqual([]);
    expect(planBars([])).toEqual([]);
    expect(scaleOf([])).toBe(1);
  });

  it('stay within the day', () => {
    const early = [{ hour: '2026-03-24T00:00:00', planned: 1, sent: 0 }];
    expect(runBars(early)[0]?.bars.map((b) => b.hour)).toEqual([0, 1, 2, 3, 4]);
  });

  it('are days when there are more than two weeks of hours', () => {
    const hours = Array.from({ length: 400 }, (_, i) => ({
      hour: new Date(Date.UTC(2026, 0, 1, i)).toISOString().slice(0, 19),
      planned: 1,
      sent: 0
    }));
    expect(runBars(hours).every((d) => d.bars.length === 1)).toBe(true);
  });
});
