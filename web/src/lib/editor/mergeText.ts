import { fieldWords } from '$lib/format/fields';
import { formatWords } from './formats';

/**
 * Between the text form of a message, `Dear {{first_name or "friend"}},`, and the form the editor
 * holds: each merge field is a `<span data-merge="…">`, a passage that shows only for some is a
 * `<div data-passage="#dues_owed">` around its paragraphs, and a text that is put in is a
 * `<div data-put-in="signature">`. Both ways without loss.
 */

const field = /\{\{([^{}]*)\}\}/g;
const span = /<span data-merge="([^"]*)"[^>]*>[^<]*<\/span>/g;
const tagOrText = /<[^>]*>|[^<]+/g;
const empty = new Set(['br', 'hr', 'img']);

/** Where paragraphs stand, and so passages may stand around them. */
const holdsParagraphs = new Set(['', 'blockquote']);

/** A piece of the text form: a tag, words, or the inside of a merge field. */
interface Piece {
  is: 'tag' | 'words' | 'field';
  text: string;
  /** The element it stands in, counted as they open; with its name. */
  parent: number;
  within: string;
  /** For the begin or end of a passage that stands around paragraphs. */
  around?: boolean;
}

/** The editor's HTML for a body; merge fields in link addresses stay as they are written. */
export function toEditor(html: string): string {
  const pieces = split(html);
  markPassages(pieces);
  return pieces.map(pieceToEditor).join('');
}

function split(html: string): Piece[] {
  const pieces: Piece[] = [];
  const open: { name: string; id: number }[] = [];
  let opened = 0;
  for (const text of html.match(tagOrText) ?? []) {
    const at = open[open.length - 1] ?? { name: '', id: 0 };
    if (!text.startsWith('<')) {
      text.split(/(\{\{[^{}]*\}\})/).forEach((part, i) => {
        if (part === '') return;
        const is = i % 2 ? 'field' : 'words';
        const inner = i % 2 ? unescape(part.slice(2, -2)) : part;
        pieces.push({ is, text: inner, parent: at.id, within: at.name });
      });
      continue;
    }
    const name = /^<\/?([a-z0-9]+)/i.exec(text)?.[1]?.toLowerCase() ?? '';
    if (text.startsWith('</')) open.pop();
    else if (!empty.has(name)) open.push({ name, id: ++opened });
    pieces.push({ is: 'tag', text, parent: at.id, within: at.name });
  }
  return pieces;
}

/** A passage stands around paragraphs when it begins and ends between paragraphs of one element. */
function markPassages(pieces: Piece[]) {
  const open: Piece[] = [];
  for (const piece of pieces.filter((p) => p.is === 'field')) {
    if (/^\s*[#^]/.test(piece.text)) open.push(piece);
    else if (/^\s*\//.test(piece.text)) {
      const begin = open.pop();
      if (begin?.parent === piece.parent && holdsParagraphs.has(piece.within)) {
        begin.around = piece.around = true;
      }
    }
  }
}

function pieceToEditor(piece: Piece): string {
  if (piece.is !== 'field') return piece.text;
  if (piece.around) {
    const inside = piece.text.replaceAll(/\s/g, '');
    return inside.startsWith('/') ? '</div>' : `<div data-passage="${escape(inside)}">`;
  }
  const putIn = /^\s*>\s*(\w+)\s*$/.exec(piece.text);
  return putIn && holdsParagraphs.has(piece.within)
    ? `<div data-put-in="${putIn[1] ?? ''}"></div>`
    : `<span data-merge="${escape(piece.text)}"></span>`;
}

/** The text form of the editor's HTML. */
export function fromEditor(html: string): string {
  const passages: string[] = [];
  // The empty line that the editor keeps at its end, to write on, is no part of the letter.
  return (html.replace(/(?:<p><\/p>)+$/, '') || html)
    .replace(span, (_, inside: string) => `{{${escapeText(unescape(inside))}}}`)
    .replace(/<div data-put-in="(\w+)"[^>]*><\/div>/g, '{{&gt; $1}}')
    .replace(/<div data-passage="([#^])([^"]*)"[^>]*>|<\/div>/g, (whole, sign, name) => {
      if (whole === '</div>') return `{{/${passages.pop() ?? ''}}}`;
      passages.push(String(name));
      return `{{${String(sign)}${String(name)}}}`;
    });
}

/** The editor's HTML for a subject, which is plain text. */
export function subjectToEditor(subject: string): string {
  return `<p>${inWords(escapeText(subject))}</p>`;
}

/** A subject holds no paragraphs, so that whatever stands in it is a part of its one line. */
function inWords(html: string): string {
  return html.replace(
    field,
    (_, inside: string) => `<span data-merge="${escape(unescape(inside))}"></span>`
  );
}

/** The plain text of a subject's editor. */
export function subjectFromEditor(html: string): string {
  const text = fromEditor(html).replace(/<br\s*\/?>|<\/p>\s*<p[^>]*>/g, ' ');
  return unescape(text.replace(/<[^>]*>/g, ''));
}

/** The editor's HTML for plain lines, each a paragraph. */
export function linesToEditor(text: string): string {
  return text.split('\n').map(subjectToEditor).join('');
}

/** The plain lines of such an editor. */
export function linesFromEditor(html: string): string {
  return html
    .split(/<\/p>\s*<p[^>]*>/)
    .map(subjectFromEditor)
    .join('\n')
    .trimEnd();
}

function escapeText(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
}

function escape(text: string): string {
  return escapeText(text).replaceAll('"', '&quot;');
}

function unescape(text: string): string {
  return text
    .replaceAll('&lt;', '<')
    .replaceAll('&gt;', '>')
    .replaceAll('&quot;', '"')
    .replaceAll('&#39;', "'")
    .replaceAll('&nbsp;', ' ')
    .replaceAll('\u00a0', ' ')
    .replaceAll('&amp;', '&');
}

/** What a merge field shows: its label, and how it was written after that. */
export interface Shown {
  kind: 'field' | 'open' | 'close' | 'note';
  label: string;
  after: string;
}

/** "first name" + "or “friend”"; "only if dues owed"; "end of dues owed". */
export function shown(inside: string, labels: (name: string) => string): Shown {
  const text = inside.trim();
  if (text.startsWith('!')) return { kind: 'note', label: 'note', after: text.slice(1).trim() };
  const name = text.slice(1).trim();
  if (text.startsWith('#')) return { kind: 'open', label: labels(name), after: 'only if ' };
  if (text.startsWith('^')) return { kind: 'open', label: labels(name), after: 'only without ' };
  if (text.startsWith('/')) return { kind: 'close', label: labels(name), after: 'end of ' };
  const [first = '', ...rest] = text.split(/\s+/);
  const after = rest
    .join(' ')
    .replace(/as ".*"$/, formatWords)
    .replace(/"([^"]*)"/g, '“$1”');
  return { kind: 'field', label: labels(first), after };
}

/** A merge field's name, fallback and the rest, for a form; null when it is no plain field. */
export function taken(inside: string): { name: string; fallback: string; rest: string } | null {
  const match = /^\s*([\w.]+)(?:\s+or\s+"([^"]*)")?\s*(as\s+.*)?$/.exec(inside);
  return match ? { name: match[1] ?? '', fallback: match[2] ?? '', rest: match[3] ?? '' } : null;
}

/** The inside of a merge field. */
export function inside(name: string, fallback: string, rest = ''): string {
  const clean = fallback.replaceAll('"', '').replaceAll('{', '').replaceAll('}', '').trim();
  return [name, clean && `or "${clean}"`, rest.trim()].filter(Boolean).join(' ');
}

/** A plain text in pieces: words as they stand, and merge fields by their names. */
export function pieces(text: string): { words: string; merged: boolean }[] {
  return text
    .split(/(\{\{[^{}]*\}\})/)
    .filter((piece) => piece !== '')
    .map((piece) => {
      const inner = /^\{\{([^{}]*)\}\}$/.exec(piece)?.[1];
      return inner === undefined
        ? { words: piece, merged: false }
        : { words: shown(inner, fieldWords).label, merged: true };
    });
}
