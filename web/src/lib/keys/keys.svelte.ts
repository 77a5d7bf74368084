import { goto } from '$app/navigation';
import { pressed, tabs } from './shortcuts';

type Acts = Record<string, () => void>;

const STORE = 'jemble-keys-off';

/** Runs what a key stands for: the screen's own acts first, then those that work everywhere. */
class Keys {
  finder = $state(false);
  list = $state(false);
  /** Keys that somebody has switched off in this browser (WCAG 2.1.4). */
  #off = $state<string[]>(kept());
  #screens: Acts[] = [];

  /** Acts of a screen or a part of it; call the answer when it goes. */
  use(acts: Acts): () => void {
    this.#screens.push(acts);
    return () => {
      this.#screens = this.#screens.filter((s) => s !== acts);
    };
  }

  isOff(key: string): boolean {
    return this.#off.includes(key);
  }

  turn(key: string, on: boolean) {
    this.#off = on ? this.#off.filter((k) => k !== key) : [...this.#off, key];
    try {
      localStorage.setItem(STORE, JSON.stringify(this.#off));
    } catch {
      // A browser that keeps nothing has them on again next time.
    }
  }

  handle = (event: KeyboardEvent) => {
    const key = pressed(event);
    if (key === null || event.defaultPrevented || this.isOff(key)) return;
    if (document.querySelector('dialog[open]')) return;
    const act = this.#find(key);
    if (act) {
      event.preventDefault();
      act();
    }
  };

  /** Does what a key stands for, for a field that keeps the key to itself until it is done. */
  press(key: string) {
    if (!this.isOff(key)) this.#find(key)?.();
  }

  #find(key: string): (() => void) | undefined {
    for (const acts of [...this.#screens].reverse()) {
      if (acts[key]) return acts[key];
    }
    const tab = tabs[Number(key) - 1];
    if (tab) return () => void goto(tab.path);
    if (key === '/') return () => (this.finder = true);
    if (key === '?') return () => (this.list = true);
    return undefined;
  }
}

function kept(): string[] {
  try {
    const read: unknown = JSON.parse(localStorage.getItem(STORE) ?? '[]');
    return Array.isArray(read) ? read.filter((k) => typeof k === 'string') : [];
  } catch {
    return [];
  }
}

export const keys = new Keys();
