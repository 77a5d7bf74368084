import type { Proof, WaysBody, WholeMailing } from '$lib/api/types';
import { NO_PAPER } from '$lib/draft/written';

export type Channel = WholeMailing['ways'][number];

const NAMES: Record<Channel, string> = {
  EMAIL: 'e-mail',
  TEXT: 'text message',
  APP: 'app',
  POST: 'post'
};

const BY: Record<Channel, string> = {
  EMAIL: 'by e-mail',
  TEXT: 'by text',
  APP: 'in the app',
  POST: 'by post'
};

/** As it stands in a sentence: "text message". */
export const wayName = (way: Channel) => NAMES[way];

/** How somebody is reached: "by text". */
export const byWay = (way: Channel) => BY[way];

/** Where a message goes, as people read it; the app of a person has no address of its own. */
export function whereTo(message: { channel: Channel; address: string }): string {
  if (message.channel === 'APP') return 'in the app';
  return message.channel === 'POST' ? postalLine(message.address) : message.address;
}

/** A postal address in one line; as it is kept its street comes last. */
export function postalLine(kept: string): string {
  const [postcode = '', place = '', country = '', ...street] = kept.split('\n');
  const town = [postcode, place].filter(Boolean).join(' ');
  return [...street, town, country].filter(Boolean).join(', ');
}

/** Whom a proof is to, and where. */
export function proofTo(proof: Proof): string {
  if (proof.channel === 'TEXT') return `${proof.toName}, by text to ${proof.toAddress}`;
  if (proof.channel === 'APP') return `${proof.toName}, in ${proof.toAddress}`;
  if (proof.channel === 'POST') return `${proof.toName}, by post to ${proof.toAddress}`;
  return `${proof.toName} <${proof.toAddress}>`;
}

/**
 * A way that is added is tried before those that are there, since it reaches fewer; paper, which
 * is dear and slow, after them.
 */
export function withWay(ways: Channel[], added: Channel): Channel[] {
  if (ways.includes(added)) return ways;
  return added === 'POST' ? [...ways, added] : [added, ...ways];
}

/** What adding a way does. */
export const addedWords = (added: Channel) =>
  added === 'POST'
    ? 'Whom nothing else reaches gets a letter on paper.'
    : `It is tried ${byWay(added)} first.`;

/** The last one stays. */
export function withoutWay(ways: Channel[], taken: Channel): Channel[] {
  const rest = ways.filter((way) => way !== taken);
  return rest.length ? rest : ways;
}

/** Tried one place earlier than it was. */
export function sooner(ways: Channel[], moved: Channel): Channel[] {
  const place = ways.indexOf(moved);
  if (place < 1) return ways;
  const next = [...ways];
  next.splice(place - 1, 2, moved, ways[place - 1] ?? moved);
  return next;
}

/** A notice to begin from: the subject, all that the mail says, and where its first link leads. */
export function proposedNotice(subject: string, body: string) {
  const mail = new DOMParser().parseFromString(body, 'text/html').body;
  const links = [...mail.querySelectorAll('a[href]')].map((a) => a.getAttribute('href') ?? '');
  for (const a of mail.querySelectorAll('a[href]')) a.removeAttribute('href');
  return {
    title: subject,
    words: proposedText(mail.innerHTML),
    link: links.find((link) => /^(https?:|\{\{)/i.test(link)) ?? ''
  };
}

type Text = WholeMailing['text'];
type Notice = WholeMailing['notice'];
type Paper = WholeMailing['paper'];

/** What a way that is added begins with, where nothing was ever written for it. */
export function proposed(
  added: Channel | null,
  now: { text: Text; notice: Notice; paper: Paper },
  subject: string,
  body: string
): { text?: Text; notice?: Notice; paper?: Paper } {
  if (added === 'TEXT' && !now.text.words.trim()) {
    return { text: { ...now.text, words: proposedText(body) } };
  }
  if (added === 'POST' && !now.paper.subject.trim() && !now.paper.body.trim()) {
    return { paper: { ...now.paper, subject, body } };
  }
  const blank = !now.notice.title.trim() && !now.notice.words.trim();
  return added === 'APP' && blank ? { notice: proposedNotice(subject, body) } : {};
}

/** Ways with nothing left out; none are e-mail alone. */
export function waysOf(ways: WaysBody | null | undefined) {
  return {
    ways: ways?.ways ?? (['EMAIL'] as Channel[]),
    text: ways?.text ?? ({ words: '', likeness: 'NOWHERE' } as Text),
    notice: ways?.notice ?? { title: '', words: '', link: '' },
    paper: ways?.paper ?? NO_PAPER
  };
}

/**
 * What all read on a way, beside whom one person may read other words: the subject of a notice is
 * its title, a text has none.
 */
export function sharedOn(
  channel: Channel,
  mail: { subject: string; body: string },
  beside: Partial<Pick<WaysBody, 'text' | 'notice' | 'paper'>> | null | undefined
): { subject: string; body: string } {
  if (channel === 'TEXT') return { subject: '', body: beside?.text?.words ?? '' };
  if (channel === 'APP') {
    return { subject: beside?.notice?.title ?? '', body: beside?.notice?.words ?? '' };
  }
  if (channel === 'POST') {
    return { subject: beside?.paper?.subject ?? '', body: beside?.paper?.body ?? '' };
  }
  return mail;
}

const BLOCKS = new Set([
  'P',
  'DIV',
  'LI',
  'H1',
  'H2',
  'H3',
  'TR',
  'BLOCKQUOTE',
  'UL',
  'OL',
  'TABLE'
]);

/**
 * A text to begin from: all that a mail says, with its merge fields and where its links lead. What
 * has no place in a text, looks, pictures, the signature, is left out; no word is cut.
 */
export function proposedText(body: string): string {
  const mail = new DOMParser().parseFromString(body, 'text/html').body;
  return said(mail)
    .replace(/\{\{>\s*\w+\s*\}\}/g, '')
    .replace(/[ \t\u00a0]+/g, ' ')
    .replace(/ ?\n ?/g, '\n')
    .replace(/\n{3,}/g, '\n\n')
    .trim();
}

function said(node: Node): string {
  if (node.nodeType === Node.TEXT_NODE) return (node.textContent ?? '').replace(/\s+/g, ' ');
  if (!(node instanceof HTMLElement)) return '';
  if (node.tagName === 'BR') return '\n';
  const words = [...node.childNodes].map(said).join('');
  const address = node.tagName === 'A' ? (node.getAttribute('href') ?? '') : '';
  if (address && words.trim() !== address) return `${words.trim()}: ${address}`;
  return BLOCKS.has(node.tagName) ? `\n${words}\n` : words;
}
