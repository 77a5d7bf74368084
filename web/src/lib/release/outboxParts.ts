import type { OutboxTally } from '$lib/api/types';
import type { TallyPart, Tone } from '$lib/ui/Tally.svelte';

const SHOWN: { key: string; states: string[]; words: string; tone: Tone }[] = [
  {
    key: 'outbox:waiting',
    states: ['waiting', 'deferred', 'sending', 'held'],
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
