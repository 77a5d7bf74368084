/** Every key in one place: what is listed under `?` is what works. */

export interface Shortcut {
  /** As pressed, a space between keys that follow one another. */
  keys: string;
  words: string;
  where: 'everywhere' | 'lists' | 'mailing' | 'writing';
}

export const tabs = [
  { key: 'd', name: 'Desk', path: '/desk' },
  { key: 'p', name: 'People', path: '/people' },
  { key: 't', name: 'Templates', path: '/templates' },
  { key: 'm', name: 'Mailings', path: '/mailings' },
  { key: 'o', name: 'Outbox', path: '/outbox' },
  { key: 'r', name: 'Responses', path: '/responses' },
  { key: 'k', name: 'Tasks', path: '/tasks' }
] as const;

export const shortcuts: Shortcut[] = [
  { keys: '/', words: 'find or do anything', where: 'everywhere' },
  { keys: '?', words: 'show these keys', where: 'everywhere' },
  ...tabs.map((tab): Shortcut => ({
    keys: `g ${tab.key}`,
    words: `go to ${tab.name}`,
    where: 'everywhere'
  })),
  { keys: 'j', words: 'next row', where: 'lists' },
  { keys: 'k', words: 'row before', where: 'lists' },
  { keys: 'f', words: 'add a condition to the filter', where: 'lists' },
  { keys: 'x', words: 'pick the row, or let go', where: 'lists' },
  { keys: 'a', words: 'take all that match', where: 'lists' },
  {
    keys: 'w',
    words: 'write to the picked; in a list of records, go to their people',
    where: 'lists'
  },
  { keys: 'e', words: 'open the whole record', where: 'lists' },
  { keys: 'n', words: 'new person', where: 'lists' },
  { keys: 't', words: 'make a task for the person who is open', where: 'lists' },
  { keys: 'j', words: 'next proof', where: 'mailing' },
  { keys: 'k', words: 'proof before', where: 'mailing' },
  { keys: 'c', words: 'send me a copy', where: 'mailing' },
  { keys: 'r', words: 'release …', where: 'mailing' },
  { keys: '{', words: 'put in a merge field', where: 'writing' }
];

/** The pressed key as a shortcut names it, or null when it belongs to whoever is typing. */
export function pressed(event: {
  key: string;
  ctrlKey: boolean;
  metaKey: boolean;
  altKey: boolean;
  isComposing?: boolean;
  target: EventTarget | null;
}): string | null {
  if (event.ctrlKey || event.metaKey || event.altKey || event.isComposing) return null;
  if (isTyping(event.target)) return null;
  return event.key.length === 1 ? event.key : null;
}

function isTyping(target: EventTarget | null): boolean {
  const element = target as Partial<HTMLElement> | null;
  if (!element?.tagName) return false;
  const typed = ['INPUT', 'TEXTAREA', 'SELECT'].includes(element.tagName);
  const box = (element as Partial<HTMLInputElement>).type;
  const mere = element.tagName === 'INPUT' && (box === 'checkbox' || box === 'radio');
  return (typed && !mere) || element.isContentEditable === true;
}

/** Joins a key to the one before it when both make one shortcut: `g` then `p`. */
export class Sequence {
  #first: { key: string; at: number } | null = null;

  constructor(private readonly within = 1200) {}

  /** The shortcut that this key completes. */
  add(key: string, now: number): string {
    const first = this.#first;
    this.#first = null;
    if (first && now - first.at <= this.within) {
      return `${first.key} ${key}`;
    }
    if (key === 'g') {
      this.#first = { key, at: now };
    }
    return key;
  }
}
