import type { PushServiceTried } from '$lib/api/types';

const steps: Record<NonNullable<PushServiceTried['failed']>, string> = {
  SET: 'There is none',
  CONTACT: 'Push services cannot reach this house',
  ADDRESS: 'An address is none',
  REACH: 'It cannot be reached'
};

/** How a try went, in a sentence. */
export function triedPushWords(tried: PushServiceTried): string {
  return tried.failed ? `${steps[tried.failed]}: ${tried.words}.` : 'All can be reached.';
}
