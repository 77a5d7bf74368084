import type { HourCount, PlanDay } from '$lib/api/types';

/** One bar of the run sheet: an hour, or a whole day where there are many. */
export interface Bar {
  /** "09:00", or "Tue 24 Mar" where a bar is a day */
  name: string;
  planned: number;
  sent: number;
}

/** The bars of one day. */
export interface BarDay {
  day: string;
  planned: number;
  sent: number;
  bars: Bar[];
  bound: string[];
}

const MOST_BARS = 24 * 14;

function hourName(hour: number): string {
  return `${String(hour).padStart(2, '0')}:00`;
}

/** The days of a plan; hours between the first and the last of a day stand even when empty. */
export function planBars(days: PlanDay[]): BarDay[] {
  return days.map((d) => ({
    day: d.day,
    planned: d.messages,
    sent: 0,
    bars: d.hours.length
      ? filled(d.hours.map((h) => ({ hour: h.hour, planned: h.messages, sent: 0 })))
      : [{ name: d.day, planned: d.messages, sent: 0 }],
    bound: d.bound
  }));
}

/** What was planned against what has left, hour by hour, or day by day where it goes over many. */
export function runBars(hours: HourCount[]): BarDay[] {
  const byDay = new Map<string, { hour: number; planned: number; sent: number }[]>();
  for (const h of hours) {
    const day = h.hour.slice(0, 10);
    const of = byDay.get(day) ?? [];
    of.push({ hour: Number(h.hour.slice(11, 13)), planned: h.planned, sent: h.sent });
    byDay.set(day, of);
  }
  const inHours = hours.length <= MOST_BARS;
  return [...byDay].map(([day, of]) => {
    const planned = of.reduce((sum, h) => sum + h.planned, 0);
    const sent = of.reduce((sum, h) => sum + h.sent, 0);
    const bars = inHours ? filled(of) : [{ name: day, planned, sent }];
    return { day, planned, sent, bars, bound: [] };
  });
}

function filled(hours: { hour: number; planned: number; sent: number }[]): Bar[] {
  const first = Math.min(...hours.map((h) => h.hour));
  const last = Math.max(...hours.map((h) => h.hour));
  const bars: Bar[] = [];
  for (let hour = first; hour <= last; hour++) {
    const found = hours.find((h) => h.hour === hour);
    bars.push({
      name: hourName(hour),
      planned: found?.planned ?? 0,
      sent: found?.sent ?? 0
    });
  }
  return bars;
}

/** The greatest bar, which the others are drawn against; at least 1. */
export function highest(days: BarDay[]): number {
  return Math.max(1, ...days.flatMap((d) => d.bars.map((b) => Math.max(b.planned, b.sent))));
}
