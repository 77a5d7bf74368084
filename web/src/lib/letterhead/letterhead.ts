import type { LetterheadDraft, SavedLetterhead } from '$lib/api/types';

export const colours: {
  name: 'band' | 'bandInk' | 'page' | 'paper' | 'ink' | 'accent';
  words: string;
}[] = [
  { name: 'band', words: 'behind the words above' },
  { name: 'bandInk', words: 'words above' },
  { name: 'page', words: 'around the paper' },
  { name: 'paper', words: 'paper' },
  { name: 'ink', words: 'words' },
  { name: 'accent', words: 'links and buttons' }
];

/** What a new letterhead begins with. */
export const fresh: LetterheadDraft = {
  name: '',
  band: '#46551f',
  bandInk: '#ffffff',
  page: '#f4f1e8',
  paper: '#ffffff',
  ink: '#24271f',
  accent: '#46551f',
  typeface: 'SANS',
  logoKey: null,
  header: '<p>{{workspace.name}}</p>',
  footer: '<p>{{workspace.address}}</p>',
  version: 0
};

export function draftOf(l: SavedLetterhead): LetterheadDraft {
  return {
    name: l.name,
    band: l.band,
    bandInk: l.bandInk,
    page: l.page,
    paper: l.paper,
    ink: l.ink,
    accent: l.accent,
    typeface: l.typeface,
    logoKey: l.logoKey,
    header: l.header,
    footer: l.footer,
    version: l.version
  };
}

/** What it says, for seeing two of them side by side. */
export function words(l: Pick<LetterheadDraft, 'name' | 'header' | 'footer'>) {
  return { subject: l.name, body: l.header + l.footer };
}

/** A message with everything that a letterhead can change. */
export const sample = {
  subject: 'A message for {{first_name or "you"}}',
  body:
    '<h2>What it looks like</h2><p>Dear {{first_name or "friend"}}, this is a message on this ' +
    'letterhead, with <a href="https://ternquay.example">a link</a> and a list:</p>' +
    '<ul><li>one thing</li><li>and another</li></ul>' +
    '<p><a class="button" href="https://ternquay.example">A button</a></p>' +
    '<blockquote><p>Something that somebody said.</p></blockquote>{{&gt; signature}}'
};

/** How well one colour stands off another, 1 to 21 (WCAG 2.2, "contrast ratio"). */
export function contrast(one: string, other: string): number {
  const [light = 0, dark = 0] = [luminance(one), luminance(other)].sort((a, b) => b - a);
  return (light + 0.05) / (dark + 0.05);
}

/** Relative luminance (WCAG 2.2). */
function luminance(colour: string): number {
  const part = (at: number) => {
    const c = parseInt(colour.slice(at, at + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  };
  return 0.2126 * part(1) + 0.7152 * part(3) + 0.0722 * part(5);
}
