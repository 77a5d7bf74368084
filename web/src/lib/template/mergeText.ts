/**
 * Between the text form of a message, `Dear {{first_name or "friend"}},`, and the form the editor
 * holds, in which each merge field is a `<span data-merge="…">`. Both ways without loss.
 */

const field = /\{\{([^{}]*)\}\}/g;
const span = /<span data-merge="([^"]*)"[^>]*>[^<]*<\/span>/g;
const tagOrText = /<[^>]*>|[^<]+/g;

/** The editor's HTML for a body; merge fields in link addresses stay as they are written. */
export function toEditor(html: string): string {
  return (html.match(tagOrText) ?? [])
    .map((piece) =>
      piece.startsWith('<')
        ? piece
        : piece.replace(
            field,
            (_, inside: string) => `<span data-merge="${escape(unescape(inside))}"></span>`
          )
    )
    .join('');
}

/** The text form of the editor's HTML. */
export function fromEditor(html: string): string {
  return html.replace(span, (_, inside: string) => `{{${escapeText(unescape(inside))}}}`);
}

/** The editor's HTML for a subject, which is plain text. */
export function subjectToEditor(subject: string): string {
  return `<p>${toEditor(escapeText(subject))}</p>`;
}

/** The plain text of a subject's editor. */
export function subjectFromEditor(html: string): string {
  const text = fromEditor(html).replace(/<br\s*\/?>|<\/p>\s*<p[^>]*>/g, ' ');
  return unescape(text.replace(/<[^>]*>/g, ''));
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
  const after = rest.join(' ').replace(/"([^"]*)"/g, '“$1”');
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
        : { words: shown(inner, (name) => name.replace(/[_.]/g, ' ')).label, merged: true };
    });
}
