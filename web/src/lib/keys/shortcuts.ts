/** Every key in one place: what is listed under `?` is what works. */

export interface Shortcut {
  /** As pressed: a letter, or a named key with those that are held. */
  key: string;
  words: string;
  where: 'everywhere' | 'lists' | 'mailing' | 'writing';
}

/** The sections in their order: the number of each is its key. */
export const tabs = [
  { name: 'Desk', path: '/desk' },
  { name: 'People', path: '/people' },
  { name: 'Templates', path: '/templates' },
  { name: 'Mailings', path: '/mailings' },
  { name: 'Outbox', path: '/outbox' },
  { name: 'Responses', path: '/responses' },
  { name: 'Tasks', path: '/tasks' }
] as const;

export const shortcuts: Shortcut[] = [
  { key: '/', words: 'find or do anything', where: 'everywhere' },
  { key: '?', words: 'show these keys', where: 'everywhere' },
  ...tabs.map((tab, i): Shortcut => ({
    key: String(i + 1),
    words: `go to ${tab.name}`,
    where: 'everywhere'
  })),
  { key: 'ArrowDown', words: 'next row', where: 'lists' },
  { key: 'ArrowUp', words: 'row before', where: 'lists' },
  { key: 'Space', words: 'pick the row, or let it go', where: 'lists' },
  { key: 'Shift+ArrowDown', words: 'pick on downwards', where: 'lists' },
  { key: 'Shift+ArrowUp', words: 'pick on upwards', where: 'lists' },
  { key: 'Ctrl+a', words: 'pick all that match', where: 'lists' },
  { key: 'Enter', words: 'open the record; without one, write to all', where: 'lists' },
  { key: 'f', words: 'type whom you seek; Enter goes on to the list', where: 'lists' },
  { key: '+', words: 'add a condition to the filter', where: 'lists' },
  { key: 'w', words: 'write to the picked, or to all who match', where: 'lists' },
  { key: 'a', words: 'whom it is for', where: 'mailing' },
  { key: 's', words: 'write the subject', where: 'mailing' },
  { key: 'b', words: 'write the message', where: 'mailing' },
  { key: 'd', words: 'write when it leaves', where: 'mailing' },
  { key: 'n', words: 'next proof', where: 'mailing' },
  { key: 'p', words: 'proof before', where: 'mailing' },
  { key: 'o', words: 'own wording for the person in the proof', where: 'mailing' },
  { key: 't', words: 'test: send me a copy', where: 'mailing' },
  { key: 'Ctrl+Enter', words: 'release …', where: 'mailing' },
  { key: '{', words: 'put in a merge field', where: 'writing' }
];

const SHOWN: Record<string, string> = { ArrowDown: '↓', ArrowUp: '↑', Enter: '⏎', a: 'A' };

/** A key as it stands on a keyboard, piece by piece: "Ctrl", "⏎". */
export function piecesOf(key: string): string[] {
  const pieces = key === '+' ? ['+'] : key.split('+');
  return pieces.map((piece) =>
    pieces.length > 1 || piece.length > 1 ? (SHOWN[piece] ?? piece) : piece
  );
}

/** Keys that lists and buttons understand by themselves. */
const NAMED = ['ArrowDown', 'ArrowUp', 'Enter'];

/** The pressed key as a shortcut names it, or null when it belongs to whoever is typing. */
export function pressed(event: {
  key: string;
  ctrlKey: boolean;
  metaKey: boolean;
  altKey: boolean;
  shiftKey?: boolean;
  isComposing?: boolean;
  target: EventTarget | null;
}): string | null {
  if (event.altKey || event.isComposing) return null;
  const held = event.ctrlKey || event.metaKey;
  if (held && event.key === 'Enter') return 'Ctrl+Enter';
  if (isTyping(event.target)) return null;
  if (held) return event.key === 'a' ? 'Ctrl+a' : null;
  const name = event.key === ' ' ? 'Space' : event.key;
  if (name.length === 1) return name;
  if (isControl(event.target)) return null;
  if (name === 'Space') return name;
  if (!NAMED.includes(name)) return null;
  return event.shiftKey ? `Shift+${name}` : name;
}

function isTyping(target: EventTarget | null): boolean {
  const element = target as Partial<HTMLElement> | null;
  if (!element?.tagName) return false;
  const typed = ['INPUT', 'TEXTAREA', 'SELECT'].includes(element.tagName);
  const box = (element as Partial<HTMLInputElement>).type;
  const mere = element.tagName === 'INPUT' && (box === 'checkbox' || box === 'radio');
  return (typed && !mere) || element.isContentEditable === true;
}

/** Whether the browser itself does something when Space or Enter is pressed there. */
function isControl(target: EventTarget | null): boolean {
  const element = target as Partial<HTMLElement> | null;
  return ['BUTTON', 'A', 'INPUT', 'SUMMARY'].includes(element?.tagName ?? '');
}
