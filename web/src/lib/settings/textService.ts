import type { TextServiceTried } from '$lib/api/types';

const steps: Record<NonNullable<TextServiceTried['failed']>, string> = {
  SET: 'There is none',
  SENDER: 'The sender is none that phones show',
  REACH: 'It cannot be reached',
  SIGN_IN: 'It does not let us in'
};

/** How a try went, in a sentence. */
export function triedTextWords(tried: TextServiceTried): string {
  return tried.failed
    ? `${steps[tried.failed]}: ${tried.words}.`
    : 'It can be reached, and lets us in.';
}
