import type { HourCount, HoursSpan, PlanDay } from '$lib/api/types';
import { DAYS } from './planWords';

/** One bar of the run sheet: an hour, or a whole day where there are many. */
export interface Bar {
  day: string;
  /** 0 to 23; null where a bar is a day. */
  hour: number | null;
  planned: number;
  sent: number;
  /** Whether messages may not leave then. */
  closed: boolean;
}

/** The bars of one day. */
export interface BarDay {
  day: string;
  planned: number;
  sent: number;
  bars: Bar[];
  /** What held messages back: "hours", or whose cap. */
  bound: string[];
}

interface Hour {
  hour: number;
  planned: number;
  sent: number;
}

type DayOfHours = Omit<BarDay, 'bars'> & { hours: Hour[] };
type IsClosed = (day: string, hour: number) => boolean;

const MOST_BARS = 24 * 14;
/** A picture of fewer hours would be one fat bar. */
const FEWEST_HOURS = 8;

/** Whether a whole hour lies outside the hours in which messages may leave. */
export function closedBy(hours: HoursSpan[] | null): IsClosed {
  if (!hours) return () => false;
  return (day, hour) => {
    const name = DAYS[(new Date(`${day}T12:00:00Z`).getUTCDay() + 6) % 7];
    return !hours.some((h) => h.day === name && h.from < (hour + 1) * 60 && h.to > hour * 60);
  };
}

/** The days of a plan; all days show the same hours, so that they can be compared. */
export function planBars(days: PlanDay[], closed: IsClosed = () => false): BarDay[] {
  if (days.some((d) => d.messages > 0 && d.hours.length === 0)) {
    return days.map((d) => wholeDay({ ...d, planned: d.messages, sent: 0, hours: [] }));
  }
  return inHours(
    days.map((d) => ({
      day: d.day,
      planned: d.messages,
      sent: 0,
      bound: d.bound,
      hours: d.hours.map((h) => ({ hour: h.hour, planned: h.messages, sent: 0 }))
    })),
    closed
  );
}

/** What was planned against what has left, hour by hour, or day by day where it goes over many. */
export function runBars(hours: HourCount[]): BarDay[] {
  const byDay = new Map<string, Hour[]>();
  for (const h of hours) {
    const day = h.hour.slice(0, 10);
    const of = byDay.get(day) ?? [];
    of.push({ hour: Number(h.hour.slice(11, 13)), planned: h.planned, sent: h.sent });
    byDay.set(day, of);
  }
  const days = [...byDay].map(([day, of]): DayOfHours => ({
    day,
    planned: of.reduce((sum, h) => sum + h.planned, 0),
    sent: of.reduce((sum, h) => sum + h.sent, 0),
    bound: [],
    hours: of
  }));
  return hours.length <= MOST_BARS ? inHours(days, () => false) : days.map(wholeDay);
}

function wholeDay(of: DayOfHours): BarDay {
  const { day, planned, sent, bound } = of;
  return { day, planned, sent, bound, bars: [{ day, hour: null, planned, sent, closed: false }] };
}

function inHours(days: DayOfHours[], closed: IsClosed): BarDay[] {
  if (days.length === 0) return [];
  const [first, last] = shownHours(days.flatMap((d) => d.hours.map((h) => h.hour)));
  return days.map(({ day, planned, sent, bound, hours }) => {
    const bars: Bar[] = [];
    for (let hour = first; hour <= last; hour++) {
      const found = hours.find((h) => h.hour === hour);
      bars.push({
        day,
        hour,
        planned: found?.planned ?? 0,
        sent: found?.sent ?? 0,
        closed: closed(day, hour)
      });
    }
    return { day, planned, sent, bound, bars };
  });
}

/** From the first to the last hour of any day, and some around where those are few. */
function shownHours(hours: number[]): [number, number] {
  if (hours.length === 0) return [0, 23];
  const first = Math.min(...hours);
  const last = Math.max(...hours);
  const around = Math.max(0, Math.ceil((FEWEST_HOURS - (last - first + 1)) / 2));
  return [Math.max(0, first - around), Math.min(23, last + around)];
}

/** A round number that no bar is higher than: 1, 2 or 5 and noughts. */
export function scaleOf(days: BarDay[]): number {
  const most = Math.max(1, ...days.flatMap((d) => d.bars.map((b) => Math.max(b.planned, b.sent))));
  const step = 10 ** Math.floor(Math.log10(most));
  return [1, 2, 5, 10].map((n) => n * step).find((n) => n >= most) ?? most;
}

/** So many days have their names below each. */
export const ALL_NAMED = 7;

/** Which of some days are named: not more than there is room for, none at the very end. */
export function namedDays(many: number): number[] {
  const each = Math.max(1, Math.ceil(many / ALL_NAMED));
  const all = Array.from({ length: Math.ceil(many / each) }, (_, i) => i * each);
  return all.filter((day) => day + each <= many);
}

/** Which hours are written below: not more than there is room for. */
export function hourTicks(days: BarDay[]): number[] {
  const hours = days[0]?.bars.map((b) => b.hour).filter((h) => h !== null) ?? [];
  const every = days.length * hours.length <= 30 ? 3 : days.length <= 4 ? 6 : 24;
  return hours.filter((h, place) => (every === 24 ? place === 0 : h % every === 0));
}
