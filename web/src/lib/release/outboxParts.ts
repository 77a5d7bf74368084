import type { OutboxTally } from '$lib/api/types';
import type { TallyPart, Tone } from '$lib/ui/Tally.svelte';

/** States of a message that is still to leave. */
export const TO_DEPART = ['waiting', 'deferred', 'sending', 'held'];

const SHOWN: { key: string; states: string[]; words: string; tone: Tone }[] = [
  {
    key: 'outbox:waiting',
    states: TO_DEPART,
    words: 'to leave',
    tone: 'look'
  },
  { key: 'outbox:doubt', states: ['in_doubt'], words: 'in doubt', tone: 'look' },
  { key: 'outbox:refused', states: ['refused'], words: 'refused', tone: 'bad' },
  { key: 'outbox:withdrawn', states: ['withdrawn'], words: 'withdrawn', tone: 'off' }
];

/** What the outbox still has of a mailing, or never let out; what has left is counted elsewhere. */
export function outboxParts(parts: OutboxTally['parts']): TallyPart[] {
  return SHOWN.map(({ key, states, words, tone }) => ({
    key,
    words,
    tone,
    count: parts.filter((p) => states.includes(p.state)).reduce((sum, p) => sum + p.messages, 0)
  })).filter((part) => part.count > 0);
}
