import type {
  SeriesBody,
  SeriesPerson,
  SeriesStep,
  SeriesStepBody,
  SeriesView
} from '$lib/api/types';
import { people } from '$lib/format/numbers';

export const STATES: Record<SeriesView['state'], string> = {
  DRAFT: 'draft',
  ACTIVE: 'active',
  PAUSED: 'paused',
  ENDED: 'ended'
};

export const UNITS: { value: SeriesStep['waitUnit']; name: string }[] = [
  { value: 'MINUTES', name: 'minutes' },
  { value: 'HOURS', name: 'hours' },
  { value: 'DAYS', name: 'days' },
  { value: 'WORKING_DAYS', name: 'working days' }
];

/** What a step begins with: three days after the one before, the first at once. */
export function blankStep(first: boolean, body: string): SeriesStepBody {
  return {
    waitCount: first ? 0 : 3,
    waitUnit: first ? 'MINUTES' : 'DAYS',
    waitAt: null,
    inThread: false,
    meant: [],
    subject: '',
    body,
    letterheadId: null,
    promotional: true,
    ways: null
  };
}

export function bodyOfStep(step: SeriesStep): SeriesStepBody {
  return {
    waitCount: step.waitCount,
    waitUnit: step.waitUnit,
    waitAt: step.waitAt?.slice(0, 5) ?? null,
    inThread: step.inThread,
    meant: step.meant,
    subject: step.subject,
    body: step.body,
    letterheadId: step.letterheadId,
    promotional: step.promotional,
    ways: step.ways
  };
}

/** What is said of the whole, to be changed. */
export function bodyOfSeries(series: SeriesView): SeriesBody {
  return {
    name: series.name,
    topicId: series.topicId,
    private: series.private,
    ownClock: series.ownClock,
    hours: series.hours,
    againDays: series.againDays,
    endsOnReply: series.endsOnReply,
    endsOnClick: series.endsOnClick,
    enters: series.enters,
    ends: series.ends,
    version: series.version
  };
}

/** How high the line is before a step, in pixels: longer waits are longer, and none is a page. */
export function gapBefore(steps: SeriesStep[], at: number): number {
  const day = steps[at]?.day ?? 1;
  const before = at === 0 ? day : (steps[at - 1]?.day ?? day);
  return Math.min(56, 8 + 5 * Math.max(0, day - before));
}

/** Which of those who came in are listed; all where nothing is said. */
export interface WhichPeople {
  state?: SeriesPerson['state'];
  /** Whose next step it is. */
  waitsFor?: number;
  /** Whom this step passed over. */
  passedOverBy?: number;
}

/** A share with the interval it lies in, such as "62% opened (54–70%)". */
export function shareWords(share: SeriesStep['shares'][number]): string {
  const percent = (part: number) => Math.round(100 * part);
  return `${percent(share.share)}% ${share.what} (${percent(share.low)}–${percent(share.high)}%)`;
}

/** What the bar of a step shows. */
export function dropWords(step: SeriesStep, most: number): string {
  return `${people(step.sent)} of ${people(most)} got it, ${people(step.opened)} opened it`;
}

/** Whether a step may change places with the one before it: only among those nobody has had. */
export function mayGoUp(steps: SeriesStep[], at: number): boolean {
  const [one, before] = [steps[at], steps[at - 1]];
  return !!one && !!before && hadBy(one) + hadBy(before) === 0;
}

/** How many people are past a step. */
export function hadBy(step: SeriesStep): number {
  return step.sent + step.waiting + step.without;
}

/** The ids of the steps with one and the one before it changed over. */
export function movedUp(steps: SeriesStep[], at: number): number[] {
  const ids = steps.map((s) => s.id);
  const [moved] = ids.splice(at, 1);
  if (moved !== undefined) ids.splice(at - 1, 0, moved);
  return ids;
}

/** Whom a change of a step's text or wait touches. */
export function touchedWords(step: SeriesStep, inSeries: number): string {
  const had = hadBy(step);
  if (had === 0) return inSeries ? 'Nobody has had this step; the change is for all.' : '';
  return `${people(had)} ${had === 1 ? 'is past this step and keeps' : 'are past this step and keep'} what they got; the change is for all others.`;
}

/** The hours a series begins with when it gets any: those of an office. */
export function officeHours(): NonNullable<SeriesBody['hours']> {
  const days = ['MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY', 'FRIDAY'] as const;
  return days.map((day) => ({ day, from: 9 * 60, to: 17 * 60 }));
}
