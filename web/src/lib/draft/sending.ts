import type { WholeMailing } from '$lib/api/types';

export const voices: { value: WholeMailing['voice']; name: string }[] = [
  { value: 'SENDER', name: 'you' },
  { value: 'OWNER', name: 'each person’s owner' },
  { value: 'HOUSE', name: 'the house’s own address' }
];

export const repliesTo: { value: WholeMailing['repliesTo']; name: string }[] = [
  { value: 'SENDER', name: 'you' },
  { value: 'OWNER', name: 'each person’s owner' },
  { value: 'COLLEAGUE', name: 'a colleague' }
];

interface Sending {
  voice: WholeMailing['voice'];
  repliesTo: WholeMailing['repliesTo'];
  countOpens: boolean;
  countClicks: boolean;
}

/** "From you · replies to each person’s owner" */
export function voiceWords(s: Sending): string {
  const from = voices.find((v) => v.value === s.voice)?.name ?? '';
  const replies = repliesTo.find((r) => r.value === s.repliesTo)?.name ?? '';
  return s.voice === s.repliesTo
    ? `From ${from}, who gets the replies`
    : `From ${from} · replies to ${replies}`;
}

/** "Opens and clicks are counted" */
export function countingWords(s: Sending): string {
  if (s.countOpens && s.countClicks) return 'Opens and clicks are counted';
  if (s.countOpens) return 'Opens are counted';
  return s.countClicks ? 'Clicks are counted' : 'Nothing is counted';
}
