import type { Standing } from '$lib/api/types';
import { byOf, BY, shortLink, type By } from './results';

/** People of a mailing who are looked for by something they did, or by what they are. */
export interface Sought {
  /** Who they are, in words; empty when nobody in particular is looked for. */
  words: string;
  /** What the server is asked besides their standing. */
  query: { did?: 'READ' | 'CLICKED' | 'REPLIED'; link?: string; by?: By; value?: string };
  /** Only those whose messages stand so. */
  standings?: Standing[];
  /** Whether only those of a part of the tally. */
  withPart: boolean;
}

const DID = {
  READ: 'Read by a person',
  CLICKED: 'Followed a link',
  REPLIED: 'Replied'
} as const;

const ALSO: Record<'READ' | 'DELIVERED', { words: string; standings: Standing[] }> = {
  READ: { words: ', read by a person', standings: ['OPENED', 'CLICKED', 'REPLIED'] },
  DELIVERED: {
    words: ', delivered',
    standings: ['REPLIED', 'LEFT', 'CLICKED', 'OPENED', 'AUTO_REPLIED', 'MACHINE_OPENED', 'NOTHING']
  }
};

/** Who is looked for, as the address of the page says. */
export function soughtIn(question: { get(name: string): string | null }): Sought {
  const did = question.get('did');
  const link = question.get('link');
  const value = question.get('value');
  if (did === 'READ' || did === 'CLICKED' || did === 'REPLIED') {
    return { words: DID[did], query: { did }, withPart: false };
  }
  if (link) {
    return { words: `Followed ${shortLink(link)}`, query: { link }, withPart: false };
  }
  if (value !== null) {
    const by = byOf(question.get('by'));
    const name = BY.find((b) => b.value === by)?.name ?? '';
    const words = value
      ? `Of the ${name} ${value}`
      : `Without ${name === 'owner' ? 'an' : 'a'} ${name}`;
    const also = question.get('also');
    if (also === 'READ' || also === 'DELIVERED') {
      const { standings, words: more } = ALSO[also];
      return { words: words + more, query: { by, value }, standings, withPart: false };
    }
    return { words, query: { by, value }, withPart: question.get('part') !== null };
  }
  return { words: '', query: {}, withPart: false };
}
