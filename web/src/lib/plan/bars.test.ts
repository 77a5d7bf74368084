import { describe, expect, it } from 'vitest';
import { highest, planBars, runBars } from './bars';

describe('bars of a plan', () => {
  it('keep the empty hours between the first and the last of a day', () => {
    const days = planBars([
      {
        day: '2026-03-24',
        messages: 60,
        hours: [
          { hour: 9, messages: 40 },
          { hour: 11, messages: 20 }
        ],
        bound: ['hours']
      }
    ]);
    expect(days[0]?.bars.map((b) => [b.name, b.planned])).toEqual([
      ['09:00', 40],
      ['10:00', 0],
      ['11:00', 20]
    ]);
    expect(highest(days)).toBe(40);
  });

  it('are days where the plan goes over many', () => {
    const days = planBars([{ day: '2026-03-24', messages: 7, hours: [], bound: [] }]);
    expect(days[0]?.bars).toEqual([{ name: '2026-03-24', planned: 7, sent: 0 }]);
  });
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
    expect(highest([])).toBe(1);
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
