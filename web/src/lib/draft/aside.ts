import { session } from '$lib/session/session.svelte';

/** What is not saved yet, kept in this browser, so that a lost page or connection loses nothing. */

export interface Aside<T> {
  version: number;
  written: T;
}

/** Each colleague's own: the next one at the same browser is not shown it. */
const key = (what: string) => `jemble.unsaved.${session.colleague?.id ?? 0}.${what}`;

/** Keeps something under a name, such as "5" for a mailing and "5.12" for one person's words. */
export function keepAside(what: string, version: number, written: unknown) {
  try {
    localStorage.setItem(key(what), JSON.stringify({ version, written }));
  } catch {
    // A browser that keeps nothing still saves at the server a moment later.
  }
}

export function keptAside<T>(what: string): Aside<T> | null {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(key(what)) ?? 'null');
    return kept && typeof kept === 'object' && 'written' in kept ? (kept as Aside<T>) : null;
  } catch {
    return null;
  }
}

export function forget(what: string) {
  try {
    localStorage.removeItem(key(what));
  } catch {
    // Nothing was kept.
  }
}
