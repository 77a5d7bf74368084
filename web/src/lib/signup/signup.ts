import type { ReaderLanguage, SignUpPageBody, SignUpPageView } from '$lib/api/types';
import { LANGUAGES } from '$lib/format/languages';

const nothing = { intro: '', thanks: '', subject: '', mail: '' };

/** What a new page begins with: the first name, and words to be gone over. */
export const fresh = (): SignUpPageBody => ({
  name: '',
  key: '',
  open: true,
  asks: [{ field: 'first_name', required: false }],
  topics: [],
  ways: [],
  words: [
    {
      language: 'EN',
      words: {
        ...nothing,
        title: 'Hear from us',
        consent: 'Yes, write to me about this. I can leave again by the link in any mail.'
      }
    }
  ],
  kind: 'contact',
  source: null,
  tag: null,
  owner: null,
  series: null,
  tell: null,
  version: 0
});

/** An address made of a name, as the server takes it: "Harbour news!" is harbour-news. */
export function keyOf(name: string): string {
  return name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, 60)
    .replace(/^-+|-+$/g, '');
}

/** One place up or down; at the end it stays. */
export function moved<T>(all: T[], at: number, by: -1 | 1): T[] {
  const to = at + by;
  if (to < 0 || to >= all.length) return all;
  const next = [...all];
  [next[at], next[to]] = [next[to] as T, next[at] as T];
  return next;
}

/** The languages that are not written yet. */
export function unwritten(page: SignUpPageBody): ReaderLanguage[] {
  const written = page.words.map((w) => w.language);
  return (Object.keys(LANGUAGES) as ReaderLanguage[]).filter((l) => !written.includes(l));
}

/** The page with one more language, which begins with the words of the main one. */
export function withLanguage(page: SignUpPageBody, language: ReaderLanguage): SignUpPageBody {
  const main = page.words[0];
  const words = main ? { ...main.words } : { ...nothing, title: '', consent: '' };
  return { ...page, words: [...page.words, { language, words }] };
}

/** What somebody who is new hears of. */
export function hearsOf(page: Pick<SignUpPageBody, 'topics' | 'series'>): string {
  if (page.topics.length > 0) {
    const series = page.series ? ' and of the topic of the series' : '';
    return `Who is new hears of what they tick${series}, and of nothing else.`;
  }
  return page.series
    ? 'Who is new hears of the topic of the series, and of nothing else.'
    : 'Without topics to tick, who is new hears of everything the house writes about.';
}

/** What came of a page, as a sentence: "412 saw it, 80 asked, 61 confirmed". */
export function cameOf({ numbers: n }: Pick<SignUpPageView, 'numbers'>): string {
  if (n.saw === 0) return 'Nobody has seen it yet';
  return `${n.saw} saw it · ${n.began} began · ${n.asked} asked · ${n.confirmed} confirmed`;
}
