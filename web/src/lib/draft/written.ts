import type { SendPlan, WholeMailing } from '$lib/api/types';

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

/** A letter that nobody has written, of no document. */
export const NO_PAPER: WholeMailing['paper'] = {
  subject: '',
  body: '',
  form: 'DIN_B',
  documentId: 0,
  documentVersion: 0
};

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
