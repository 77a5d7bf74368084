/** Words that are not saved yet, kept in this browser, so that a lost page or connection loses none. */

export interface Aside {
  version: number;
  subject: string;
  body: string;
}

const key = (mailing: number) => `jemble.unsaved.${mailing}`;

export function keepAside(mailing: number, version: number, subject: string, body: string) {
  try {
    localStorage.setItem(key(mailing), JSON.stringify({ version, subject, body }));
  } catch {
    // A browser that keeps nothing still saves at the server a moment later.
  }
}

export function keptAside(mailing: number): Aside | null {
  try {
    const kept = localStorage.getItem(key(mailing));
    return kept ? (JSON.parse(kept) as Aside) : null;
  } catch {
    return null;
  }
}

export function forget(mailing: number) {
  try {
    localStorage.removeItem(key(mailing));
  } catch {
    // Nothing was kept.
  }
}
