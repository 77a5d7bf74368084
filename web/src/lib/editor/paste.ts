/**
 * What word processors and web pages put on the clipboard, made clean: structure, emphasis and links
 * stay; looks, classes, comments, scripts and everything hidden goes. What may stand in a message at
 * all is decided once more by the server.
 */

const kept = new Set(
  'a b blockquote br code em h1 h2 h3 hr i img li ol p pre s strong sub sup table tbody td th thead tr u ul'.split(
    ' '
  )
);
const dropped = new Set(
  'script style head meta link title object embed iframe svg math form'.split(' ')
);
const blocks = new Set(
  'p h1 h2 h3 blockquote ul ol li table pre hr div section article'.split(' ')
);
const attributes: Record<string, string[]> = {
  a: ['href'],
  img: ['src', 'alt'],
  td: ['colspan', 'rowspan'],
  th: ['colspan', 'rowspan'],
  ol: ['start']
};
const handler = /\son\w+\s*=\s*("[^"]*"|'[^']*'|[^\s>]*)/gi;
const safeLink = /^(https?:\/\/|mailto:|tel:)/i;

/** The clean HTML of what was on the clipboard. */
export function cleanPaste(html: string): string {
  const fragment = /<!--StartFragment-->([\s\S]*?)<!--EndFragment-->/.exec(html)?.[1] ?? html;
  // Notes that only some readers see, as <![if …]> … <![endif]>, and elements of other languages.
  const open = fragment
    .replace(/<!--[\s\S]*?-->/g, '')
    .replace(/<!\[[^\]]*\]>/g, '')
    .replace(/<\/?\w+:[^>]*>/g, '')
    // Nothing of it runs where it is read; a browser complains of each handler all the same.
    .replace(/<[^>]*>/g, (tag) => tag.replace(handler, ''));
  const body = new DOMParser().parseFromString(open, 'text/html').body;
  gatherLists(body);
  const out = document.createElement('div');
  copyInto(out, body);
  return out.innerHTML;
}

function copyInto(out: Element, from: Node) {
  for (const node of from.childNodes) {
    if (node.nodeType === Node.TEXT_NODE) out.append(node.textContent ?? '');
    else if (node.nodeType === Node.ELEMENT_NODE) copyElement(out, node as HTMLElement);
  }
}

function copyElement(out: Element, element: HTMLElement) {
  const name = nameOf(element);
  if (dropped.has(element.localName) || isHidden(element)) return;
  const emphasis = emphasisOf(element);
  let place = out;
  if (name) {
    const copy = document.createElement(name);
    for (const attribute of attributes[name] ?? []) {
      const value = element.getAttribute(attribute);
      if (value && isSafe(attribute, value)) copy.setAttribute(attribute, value);
    }
    if (name === 'img' && !copy.hasAttribute('src')) return;
    out.append(copy);
    place = copy;
  }
  for (const mark of emphasis) {
    const inner = document.createElement(mark);
    place.append(inner);
    place = inner;
  }
  copyInto(place, element);
}

/** What an element becomes; nothing when only what is in it counts. */
function nameOf(element: HTMLElement): string | null {
  const name = element.localName;
  // A bold that is not bold wraps everything that some word processors copy.
  if ((name === 'b' || name === 'strong') && element.style.fontWeight === 'normal') return null;
  if (/^h[4-6]$/.test(name)) return 'h3';
  if (name === 'div' && ![...element.children].some((c) => blocks.has(c.localName))) return 'p';
  return kept.has(name) ? name : null;
}

/** Bold, italic and underlined words that are so by their style alone. */
function emphasisOf(element: HTMLElement): string[] {
  if (element.localName !== 'span') return [];
  const { fontWeight, fontStyle, textDecoration, textDecorationLine } = element.style;
  const marks: string[] = [];
  if (fontWeight === 'bold' || Number(fontWeight) >= 600) marks.push('strong');
  if (fontStyle === 'italic') marks.push('em');
  if (`${textDecoration} ${textDecorationLine}`.includes('underline')) marks.push('u');
  return marks;
}

function isHidden(element: HTMLElement): boolean {
  const style = element.getAttribute('style') ?? '';
  return /display\s*:\s*none|mso-hide\s*:\s*all/i.test(style);
}

function isSafe(attribute: string, value: string): boolean {
  if (attribute === 'href') return safeLink.test(value.trim());
  if (attribute === 'src') return /^https?:\/\//i.test(value.trim());
  return true;
}

/** Paragraphs that are list items by a style of their own become lists, with their levels. */
function gatherLists(body: HTMLElement) {
  let lists: Element[] = [];
  for (const paragraph of [...body.querySelectorAll('p')]) {
    const style = paragraph.getAttribute('style') ?? '';
    const level = Number(/mso-list\s*:[^;]*level(\d)/i.exec(style)?.[1] ?? 0);
    const before = paragraph.previousElementSibling;
    if (!level) continue;
    if (!lists[0] || before !== lists[0]) lists = [];
    const item = document.createElement('li');
    const mark = takeMark(paragraph);
    item.append(...paragraph.childNodes);
    lists.length = Math.min(lists.length, level);
    while (lists.length < level) {
      const list = document.createElement(/^[\w]+[.)]/.test(mark) ? 'ol' : 'ul');
      const parent = lists[lists.length - 1];
      if (parent) (parent.lastElementChild ?? parent).append(list);
      else paragraph.before(list);
      lists.push(list);
    }
    lists[lists.length - 1]?.append(item);
    paragraph.remove();
  }
}

/** The bullet or number that was written out before an item's words. */
function takeMark(paragraph: Element): string {
  const mark = [...paragraph.querySelectorAll('span')].find((s) =>
    /mso-list\s*:\s*ignore/i.test(s.getAttribute('style') ?? '')
  );
  const words = mark?.textContent?.replaceAll('\u00a0', ' ').trim() ?? '';
  mark?.remove();
  return words;
}
