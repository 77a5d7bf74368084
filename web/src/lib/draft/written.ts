import type { SendPlan } from '$lib/api/types';

/** What is written of a mailing, besides its version and the template it began from. */
export const WRITTEN = [
  'name',
  'subject',
  'body',
  'topicId',
  'letterheadId',
  'promotional',
  'voice',
  'repliesTo',
  'replyColleague',
  'private',
  'recordEach',
  'parts',
  'leftOutParts',
  'picks',
  'leftOut',
  'plan',
  'countOpens',
  'countClicks',
  'ways',
  'text',
  'notice',
  'paper'
] as const;

/** Leaves as soon as it is released. */
export const AT_ONCE: SendPlan = {
  startWall: null,
  startOwn: false,
  startZone: null,
  wavePeople: null,
  waveGapSeconds: 900,
  hours: null,
  ownClock: false,
  doneBy: null
};
