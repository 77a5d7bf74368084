import type { Proof, WaysBody, WholeMailing } from '$lib/api/types';

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
  return message.channel === 'APP' ? 'in the app' : message.address;
}

/** Whom a proof is to, and where. */
export function proofTo(proof: Proof): string {
  if (proof.channel === 'TEXT') return `${proof.toName}, by text to ${proof.toAddress}`;
  if (proof.channel === 'APP') return `${proof.toName}, in ${proof.toAddress}`;
  return `${proof.toName} <${proof.toAddress}>`;
}

/** A way that is added is tried before those that are there, since it reaches fewer. */
export function withWay(ways: Channel[], added: Channel): Channel[] {
  return ways.includes(added) ? ways : [added, ...ways];
}

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

/** What a way that is added begins with, where nothing was ever written for it. */
export function proposed(
  added: Channel | null,
  now: { text: Text; notice: Notice },
  subject: string,
  body: string
): { text?: Text; notice?: Notice } {
  if (added === 'TEXT' && !now.text.words.trim()) {
    return { text: { ...now.text, words: proposedText(body) } };
  }
  const blank = !now.notice.title.trim() && !now.notice.words.trim();
  return added === 'APP' && blank ? { notice: proposedNotice(subject, body) } : {};
}

/** Ways with nothing left out; none are e-mail alone. */
export function waysOf(ways: WaysBody | null | undefined) {
  return {
    ways: ways?.ways ?? (['EMAIL'] as Channel[]),
    text: ways?.text ?? ({ words: '', likeness: 'NOWHERE' } as Text),
    notice: ways?.notice ?? { title: '', words: '', link: '' }
  };
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
