/** What is opened or folded on the screens, by name; remembered in this browser. */

const STORE = 'jemble-folds';

class Folds {
  #open = $state<Record<string, boolean>>(kept());

  /** Whether it is open; `usually` until somebody has opened or folded it. */
  isOpen(name: string, usually = false): boolean {
    return this.#open[name] ?? usually;
  }

  set(name: string, open: boolean) {
    this.#open[name] = open;
    try {
      localStorage.setItem(STORE, JSON.stringify(this.#open));
    } catch {
      // A browser that keeps nothing opens it anew next time.
    }
  }
}

function kept(): Record<string, boolean> {
  try {
    const read: unknown = JSON.parse(localStorage.getItem(STORE) ?? '{}');
    return read && typeof read === 'object' ? (read as Record<string, boolean>) : {};
  } catch {
    return {};
  }
}

export const folds = new Folds();
