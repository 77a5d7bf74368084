/** Light, dark, or as the machine is set; remembered in this browser. */
export type Look = 'light' | 'dark' | 'machine';

const STORE = 'jemble-look';

class LookState {
  choice = $state<Look>('machine');
  #dark = window.matchMedia('(prefers-color-scheme: dark)');

  constructor() {
    const kept = localStorage.getItem(STORE);
    this.choice = kept === 'light' || kept === 'dark' ? kept : 'machine';
    this.#dark.addEventListener('change', () => this.#show());
    this.#show();
  }

  choose(look: Look) {
    this.choice = look;
    localStorage.setItem(STORE, look);
    this.#show();
  }

  #show() {
    const dark = this.choice === 'dark' || (this.choice === 'machine' && this.#dark.matches);
    document.documentElement.classList.toggle('dark', dark);
  }
}

export const look = new LookState();
