import type { SeriesBody, SeriesStep, SeriesStepBody, SeriesView } from '$lib/api/types';
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

const MINUTES_OF: Record<SeriesStep['waitUnit'], number> = {
  MINUTES: 1,
  HOURS: 60,
  DAYS: 24 * 60,
  // Five of seven days are working days.
  WORKING_DAYS: (24 * 60 * 7) / 5
};

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
    promotional: true
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
    promotional: step.promotional
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
    ends: series.ends,
    version: series.version
  };
}

/** On which day after coming in each step is due at the earliest; day 1 is the day of coming in. */
export function daysOfSteps(steps: SeriesStep[]): number[] {
  let minutes = 0;
  return steps.map((step) => {
    minutes += step.waitCount * MINUTES_OF[step.waitUnit];
    return 1 + Math.floor(minutes / (24 * 60));
  });
}

/** How high the line is before a step, in pixels: longer waits are longer, and none is a page. */
export function gapBefore(days: number[], at: number): number {
  const before = at === 0 ? (days[0] ?? 1) : (days[at - 1] ?? 1);
  return Math.min(72, 10 + 6 * Math.max(0, (days[at] ?? 1) - before));
}

/** What became of a step, such as "40 sent, 3 on their way, 2 passed over". */
export function hadWords(step: SeriesStep): string {
  const words = [
    step.sent ? `${people(step.sent)} got it` : '',
    step.waiting ? `${people(step.waiting)} will in a moment` : '',
    step.without ? `${people(step.without)} passed over` : ''
  ].filter(Boolean);
  return words.length ? words.join(' · ') : 'nobody has had it yet';
}

/** Whether a step may change places with the one before it: only among those nobody has had. */
export function mayGoUp(steps: SeriesStep[], at: number): boolean {
  return at > 0 && nobodyHad(steps[at]) && nobodyHad(steps[at - 1]);
}

function nobodyHad(step: SeriesStep | undefined): boolean {
  return !!step && step.sent + step.waiting + step.without === 0;
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
  const had = step.sent + step.waiting + step.without;
  if (had === 0) return inSeries ? 'Nobody has had this step; the change is for all.' : '';
  return `${people(had)} ${had === 1 ? 'is' : 'are'} past this step and keep what they got; the change is for all others.`;
}
