import { isoDay } from '../format/dates';
import { now } from '../format/now';

/** Nine o'clock on the next day, as a wall-clock time: when most people who write want it. */
export function tomorrowAtNine(zone: string, today = now()): string {
  const tomorrow = new Date(today.getTime() + 86_400_000);
  return `${isoDay(tomorrow, zone)}T09:00:00`;
}

/** A time of day such as "08:45" on the day of a start, or on the next day where there is none. */
export function atTime(
  startWall: string | null,
  time: string,
  zone: string,
  today = now()
): string {
  return `${(startWall ?? tomorrowAtNine(zone, today)).slice(0, 10)}T${time}:00`;
}

/** The same time on another day. */
export function withDay(startWall: string, day: string): string {
  return `${day}T${startWall.slice(11)}`;
}

/** Another time, such as "08:45", on the same day. */
export function withTime(startWall: string, time: string): string {
  return `${startWall.slice(0, 10)}T${time}:00`;
}
