import type { HoursSpan, PlanDay, PlanView } from '$lib/api/types';
import { dayAndTime } from '../format/dates';
import { count, messages } from '../format/numbers';

/** Days of the week as the server names them, Monday first (ISO 8601). */
export const DAYS = [
  'MONDAY',
  'TUESDAY',
  'WEDNESDAY',
  'THURSDAY',
  'FRIDAY',
  'SATURDAY',
  'SUNDAY'
] as const;

export type WeekDay = (typeof DAYS)[number];

const DAY = 24 * 60;

/** "Mon" */
export function shortDay(day: WeekDay): string {
  return `${day[0] ?? ''}${day.slice(1, 3).toLowerCase()}`;
}

/** Minutes after midnight as "09:00"; the end of the day is "24:00". */
export function timeOf(minutes: number): string {
  const two = (n: number) => String(n).padStart(2, '0');
  return `${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`;
}

/** "09:00" as minutes after midnight; null when it is no time. */
export function minutesOf(time: string): number | null {
  const found = /^(\d{1,2}):(\d{2})/.exec(time);
  if (!found) return null;
  const minutes = Number(found[1]) * 60 + Number(found[2]);
  return minutes <= DAY ? minutes : null;
}

/** Days that have the same hours stand together: "Mon–Fri 09:00–12:00, Sat 10:00–11:00". */
export function hoursWords(hours: HoursSpan[]): string {
  const byTime = new Map<string, number[]>();
  for (const span of hours) {
    const time = `${timeOf(span.from)}–${timeOf(span.to)}`;
    byTime.set(time, [...(byTime.get(time) ?? []), DAYS.indexOf(span.day)]);
  }
  if (byTime.size === 1 && byTime.get('00:00–24:00')?.length === 7) return 'at any time';
  return [...byTime].map(([time, days]) => `${daysWords(days)} ${time}`).join(', ');
}

/** "Mon–Fri", "Mon, Wed", "every day" */
export function daysWords(places: number[]): string {
  const sorted = [...new Set(places)].sort((a, b) => a - b);
  if (sorted.length === 7) return 'every day';
  const runs: number[][] = [];
  for (const place of sorted) {
    const run = runs[runs.length - 1];
    if (run && run[run.length - 1] === place - 1) run.push(place);
    else runs.push([place]);
  }
  const name = (place: number | undefined) => shortDay(DAYS[place ?? 0] ?? 'MONDAY');
  return runs
    .map((run) => {
      const ends = `${name(run[0])}–${name(run[run.length - 1])}`;
      return run.length < 3 ? run.map(name).join(', ') : ends;
    })
    .join(', ');
}

/** Units that a gap is given in, the longest first. */
export const UNITS = [
  { seconds: 86_400, one: 'day', many: 'days' },
  { seconds: 3600, one: 'hour', many: 'hours' },
  { seconds: 60, one: 'minute', many: 'minutes' },
  { seconds: 1, one: 'second', many: 'seconds' }
] as const;

/** A gap in the longest unit that it is a whole number of. */
export function gapIn(seconds: number): { number: number; unit: number } {
  const unit = UNITS.find((u) => seconds > 0 && seconds % u.seconds === 0) ?? UNITS[2];
  return { number: Math.round(seconds / unit.seconds), unit: unit.seconds };
}

/** "15 minutes", "1 hour" */
export function gapWords(seconds: number): string {
  const { number, unit } = gapIn(seconds);
  const words = UNITS.find((u) => u.seconds === unit) ?? UNITS[3];
  return `${number} ${number === 1 ? words.one : words.many}`;
}

/** A gap as somebody would give it, not longer than this one. */
export function roundGap(seconds: number): number {
  const unit = UNITS.find((u) => seconds >= 2 * u.seconds)?.seconds ?? 1;
  return Math.floor(seconds / unit) * unit;
}

/** A length of time in its two greatest parts: "13 h 30 min", "2 days 4 h". */
export function lengthWords(seconds: number): string {
  const rest = Math.abs(seconds);
  const days = Math.floor(rest / 86_400);
  const hours = Math.floor((rest % 86_400) / 3600);
  const minutes = Math.floor((rest % 3600) / 60);
  const parts = [
    days ? `${days} ${days === 1 ? 'day' : 'days'}` : '',
    hours ? `${hours} h` : '',
    minutes && !days ? `${minutes} min` : '',
    rest < 60 ? `${Math.round(rest)} s` : ''
  ];
  return parts.filter(Boolean).join(' ');
}

/** Whether what binds is a time of the day, and no cap. */
export function isTime(bound: string): boolean {
  return bound === 'hours' || bound === 'quiet hours';
}

/** What held messages back on the days of a plan, each once: "the hours", "the cap of Orla Finch". */
export function boundWords(bound: string[]): string {
  const words = bound.map((b) => (isTime(b) ? `the ${b}` : `the cap of ${b}`));
  return words.length < 2
    ? words.join('')
    : `${words.slice(0, -1).join(', ')} and ${words[words.length - 1] ?? ''}`;
}

/** What binds anywhere in a plan. */
export function boundOf(days: PlanDay[]): string[] {
  return [...new Set(days.flatMap((d) => d.bound))].sort((a, b) =>
    isTime(a) === isTime(b) ? a.localeCompare(b) : isTime(a) ? -1 : 1
  );
}

/** What a plan comes to, in a few words: "415 messages in 11 waves, the last Tue 24 Mar, 11:30". */
export function outcomeWords(view: PlanView, zone: string, today?: Date): string {
  if (view.messages === 0) return 'nobody can be written to yet';
  if (view.unplanned) return `${messages(view.unplanned)} would never leave`;
  const late = view.doneBy?.met === false ? ', too late' : '';
  if (!view.last || view.waves < 2) return `${messages(view.messages)}${late}`;
  const last = dayAndTime(view.last, zone, today);
  return `${messages(view.messages)} in ${count(view.waves)} waves, the last ${last}${late}`;
}
