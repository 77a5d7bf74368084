/** Days and times as they read on every screen: "Tue 24 Mar, 09:00". */

import { now } from './now';

type Parts = Record<string, string>;

function parts(instant: string | Date, zone: string, options: Intl.DateTimeFormatOptions): Parts {
  const formatter = new Intl.DateTimeFormat('en-GB', { timeZone: zone, ...options });
  const found: Parts = {};
  for (const { type, value } of formatter.formatToParts(new Date(instant))) {
    found[type] = value;
  }
  return found;
}

/** Months have three letters; the locale's own September has four. */
function day(instant: string | Date, zone: string): Parts {
  const p = parts(instant, zone, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    year: 'numeric'
  });
  return { ...p, month: (p.month ?? '').slice(0, 3) };
}

/** "09:00" */
export function clock(instant: string | Date, zone: string): string {
  const p = parts(instant, zone, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });
  return `${p.hour}:${p.minute}`;
}

/** "24 Mar 2026" */
export function dayAndYear(instant: string | Date, zone: string): string {
  const p = day(instant, zone);
  return `${p.day} ${p.month} ${p.year}`;
}

/** "24 Mar 2026" for a day of the calendar such as 2026-03-24; it has no zone. */
export function calendarDay(date: string): string {
  return dayAndYear(`${date}T12:00:00Z`, 'UTC');
}

/** "24 Mar" for a day of the calendar. */
export function dayAndMonth(date: string): string {
  const p = day(`${date}T12:00:00Z`, 'UTC');
  return `${p.day} ${p.month}`;
}

/** "Tue 24 Mar", with the year when it is not this one. */
export function weekday(instant: string | Date, zone: string, today = now()): string {
  const p = day(instant, zone);
  const year = p.year === day(today, zone).year ? '' : ` ${p.year}`;
  return `${p.weekday} ${p.day} ${p.month}${year}`;
}

/** "Tue 24 Mar, 09:00" */
export function dayAndTime(instant: string | Date, zone: string, today = now()): string {
  return `${weekday(instant, zone, today)}, ${clock(instant, zone)}`;
}

/** "09:00" today, "yesterday, 09:00", else "Tue 24 Mar, 09:00". */
export function lately(instant: string | Date, zone: string, today = now()): string {
  const days = daysBetween(instant, today, zone);
  if (days === 0) return clock(instant, zone);
  if (days === 1) return `yesterday, ${clock(instant, zone)}`;
  return dayAndTime(instant, zone, today);
}

/** "today", "yesterday", "3 days ago" */
export function daysAgo(instant: string | Date, zone: string, today = now()): string {
  const days = daysBetween(instant, today, zone);
  if (days <= 0) return 'today';
  return days === 1 ? 'yesterday' : `${days} days ago`;
}

/** How long ago an instant was: "40 minutes", "3 hours", "12 days". */
export function since(instant: string | Date, today = now()): string {
  const minutes = Math.max(1, Math.floor((today.getTime() - new Date(instant).getTime()) / 60_000));
  if (minutes < 120) return minutes === 1 ? '1 minute' : `${minutes} minutes`;
  const hours = Math.floor(minutes / 60);
  return hours < 48 ? `${hours} hours` : `${Math.floor(hours / 24)} days`;
}

/** Whole days of the calendar from one instant to another, on the clock of a zone. */
export function daysBetween(from: string | Date, to: string | Date, zone: string): number {
  return Math.round((dayNumber(to, zone) - dayNumber(from, zone)) / 86_400_000);
}

function dayNumber(instant: string | Date, zone: string): number {
  const p = parts(instant, zone, { year: 'numeric', month: 'numeric', day: 'numeric' });
  return Date.UTC(Number(p.year), Number(p.month) - 1, Number(p.day));
}

/** The day of the calendar of a zone, such as "2026-03-24". */
export function isoDay(instant: string | Date, zone: string): string {
  return new Intl.DateTimeFormat('sv-SE', { timeZone: zone }).format(new Date(instant));
}

/** A wall-clock time such as "2026-03-24T09:00:00" read as it stands: "Tue 24 Mar, 09:00". */
export function wallTime(wall: string, today = now()): string {
  return dayAndTime(`${wall.slice(0, 16)}:00Z`, 'UTC', today);
}

/** A zone as people say it: "Porto" is not known, "Lisbon" is. */
export function zoneCity(zone: string): string {
  return (zone.split('/').pop() ?? zone).replaceAll('_', ' ');
}
