import type { SeriesView, SeriesWay, SeriesWayStep } from '$lib/api/types';
import { dayAndTime, zoneCity } from '$lib/format/dates';

/** An instant on the house's clock, and on the person's where that says something else. */
export function onBothClocks(at: string, house: string, own: string, today?: Date): string {
  const here = dayAndTime(at, house, today);
  const there = dayAndTime(at, own, today);
  if (here === there) return here;
  const [hereDay, thereDay] = [here.split(', ')[0], there.split(', ')[0]];
  const shown = hereDay === thereDay ? (there.split(', ')[1] ?? there) : there;
  return `${here} (${shown} in ${zoneCity(own)})`;
}

const CAME: Record<string, string> = {
  NOTHING: 'nothing came back yet',
  MACHINE_OPENED: 'fetched by a machine only',
  OPENED: 'opened',
  CLICKED: 'followed a link',
  REPLIED: 'replied',
  RETURNED: 'came back',
  LEFT: 'left the list',
  COMPLAINED: 'complained'
};

/** How a step stands for somebody, in words. */
export function standsWords(step: SeriesWayStep, when: (at: string) => string): string {
  const at = step.at ? when(step.at) : '';
  switch (step.stands) {
    case 'GOT':
      return `got it ${at}${step.came ? ` · ${CAME[step.came] ?? step.came.toLowerCase()}` : ''}`;
    case 'ON_ITS_WAY':
      return 'in the outbox, leaves in a moment';
    case 'HELD':
      return `kept in the outbox: ${step.why || 'it waits for a colleague'}`;
    case 'PASSED_OVER':
      return `passed over ${at}: ${step.why}`;
    case 'SKIPPED':
      return 'is left out for them';
    case 'AHEAD':
      return step.at ? at : step.why;
    case 'WILL_NOT':
      return step.why ? `will not come: ${step.why}` : 'will not come';
  }
}

/** Where somebody stands, in a sentence. */
export function wayWords(way: SeriesWay, series: SeriesView['state']): string {
  if (!way.entry) {
    return series === 'ENDED' ? 'Was never in it.' : 'Not in it; so it would be from now on.';
  }
  if (way.entry.state === 'FINISHED') return 'Is past all steps.';
  if (way.entry.state === 'ENDED') return `Out: ${way.entry.endedWhy}.`;
  return series === 'PAUSED' ? 'In it; nothing leaves while the series is paused.' : 'In it.';
}

/** The step that comes next for somebody. */
export function nextStep(way: SeriesWay): SeriesWayStep | undefined {
  return way.steps.find((step) => step.stands === 'AHEAD' || step.stands === 'SKIPPED');
}
