/**
 * The text form for people to read: a line for each paragraph. Line ends stand only where they change
 * nothing, so that it reads back to the same text.
 */

const block = 'p|h1|h2|h3|ul|ol|li|blockquote|table|thead|tbody|tr|td|th|hr|pre';
const lineEnds = new RegExp(
  `(</(?:${block})>|<hr>)(?=<(?:${block})[ >]|</(?:ul|ol|blockquote|table|thead|tbody|tr|td|th)>|\\{\\{)`,
  'g'
);
const afterBegin = /(<(?:ul|ol|blockquote|table|thead|tbody|tr|td|th)(?: [^>]*)?>)(?=<)/g;
const afterField = new RegExp(`(\\{\\{[#^/>&][^{}]*\\}\\})(?=<(?:${block})[ >])`, 'g');

export function toSource(html: string): string {
  return html.replace(lineEnds, '$1\n').replace(afterBegin, '$1\n').replace(afterField, '$1\n');
}

/** Line ends between elements go; those in words stay, as a blank. */
export function fromSource(source: string): string {
  return source
    .replace(/(>|\}\})\s*\n\s*(?=<|\{\{)/g, '$1')
    .replace(/\n+$/, '')
    .replace(/\s*\n\s*/g, ' ');
}
