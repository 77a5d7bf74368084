import type { Standing, Summary } from '$lib/api/types';
import { count, percent } from '$lib/format/numbers';
import type { TallyPart } from '$lib/ui/Tally.svelte';
import { standings } from './kinds';

/** People of a part of the tally; "QUIET" stands for all who showed no sign. */
export interface Part {
  key: string;
  title: string;
  words: string;
  standings: Standing[];
}

export const quiet: Standing[] = ['MACHINE_OPENED', 'NOTHING'];

/** The tally of a mailing's responses; replies carry their share of the delivered. */
export function responseParts(summary: Summary): TallyPart[] {
  return summary.parts.map((part) => {
    const rate = part.standing === 'REPLIED' && summary.delivered > 0;
    return {
      key: part.standing,
      count: part.messages,
      words: rate ? `${part.words} · ${percent(part.messages / summary.delivered)}` : part.words,
      tone: standings[part.standing].tone
    };
  });
}

/** The people that a key of the tally, or "QUIET", stands for; an unknown key gives the quiet. */
export function partOf(key: string | null, summary: Summary): Part {
  const part = summary.parts.find((p) => p.standing === key);
  if (part) {
    const words = part.words.charAt(0).toUpperCase() + part.words.slice(1);
    return { key: part.standing, title: words, words: '', standings: [part.standing] };
  }
  return {
    key: 'QUIET',
    title: 'Quiet',
    words: 'no sign of a person opening it, and no reply',
    standings: quiet
  };
}

/** "a person opened 52.1% (49.1–55.1% at 95% confidence)" */
export function rateWords(rate: Summary['rates'][number], first: boolean): string {
  const range = `${(rate.low * 100).toFixed(1)}–${(rate.high * 100).toFixed(1)}%`;
  return `(${range}${first ? ' at 95% confidence' : ''})`;
}

/** How many people a part has. */
export function sizeOf(part: Part, summary: Summary): number {
  return summary.parts
    .filter((p) => part.standings.includes(p.standing))
    .reduce((sum, p) => sum + p.messages, 0);
}

/** "Write to the 494 quiet", "Write to the 12 returned": never to those who left. */
export function writeWords(part: Part, size: number): string | null {
  const names: Partial<Record<string, string>> = {
    QUIET: 'quiet',
    NOTHING: 'who did nothing yet',
    MACHINE_OPENED: 'whose machine opened it',
    OPENED: 'who opened',
    CLICKED: 'who clicked',
    AUTO_REPLIED: 'who are away'
  };
  const name = names[part.key];
  return name && size > 0 ? `Write to the ${count(size)} ${name}…` : null;
}
