import type { DayAhead } from '$lib/api/types';
import { count } from '$lib/format/numbers';

/** The most messages of any day, those of others with them; at least 1. */
export function largest(days: DayAhead[]): number {
  return Math.max(1, ...days.map((d) => d.messages + d.others));
}

/** Whether more would leave on a day than may. */
export function overCap(day: DayAhead, cap: number | null): boolean {
  return cap !== null && day.messages + day.others > cap;
}

/** "step 1: 80, step 2: 40" */
export function dayWords(day: DayAhead): string {
  return Object.entries(day.steps)
    .map(([place, n]) => `step ${place}: ${count(n)}`)
    .join(', ');
}
