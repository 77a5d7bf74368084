import { goto } from '$app/navigation';
import { Sequence, pressed, tabs } from './shortcuts';

type Acts = Record<string, () => void>;

/** Runs what a key stands for: the screen's own acts first, then those that work everywhere. */
class Keys {
  finder = $state(false);
  list = $state(false);
  #sequence = new Sequence();
  #screens: Acts[] = [];

  /** Acts of a screen or a part of it; call the answer when it goes. */
  use(acts: Acts): () => void {
    this.#screens.push(acts);
    return () => {
      this.#screens = this.#screens.filter((s) => s !== acts);
    };
  }

  handle = (event: KeyboardEvent) => {
    const key = pressed(event);
    if (key === null || event.defaultPrevented || document.querySelector('dialog[open]')) return;
    const act = this.#find(this.#sequence.add(key, event.timeStamp));
    if (act) {
      event.preventDefault();
      act();
    }
  };

  #find(shortcut: string): (() => void) | undefined {
    for (const acts of [...this.#screens].reverse()) {
      if (acts[shortcut]) return acts[shortcut];
    }
    const tab = tabs.find((t) => shortcut === `g ${t.key}`);
    if (tab) return () => void goto(tab.path);
    if (shortcut === '/') return () => (this.finder = true);
    if (shortcut === '?') return () => (this.list = true);
    return undefined;
  }
}

export const keys = new Keys();
