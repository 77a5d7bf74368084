/** A short word at the foot of the screen, with what can be done about it. */
export interface Notice {
  id: number;
  words: string;
  bad: boolean;
  undo?: () => void;
}

class Notices {
  list = $state<Notice[]>([]);
  #next = 1;

  say(words: string, undo?: () => void) {
    this.#add({ id: this.#next++, words, bad: false, undo });
  }

  /** Says what went wrong, in the server's own sentence where it gave one. */
  fail(error: unknown) {
    const words = error instanceof Error ? error.message : 'Something went wrong.';
    this.#add({ id: this.#next++, words, bad: true });
  }

  drop(id: number) {
    this.list = this.list.filter((n) => n.id !== id);
  }

  #add(notice: Notice) {
    this.list = [...this.list.slice(-2), notice];
    setTimeout(() => this.drop(notice.id), notice.bad ? 12_000 : 6_000);
  }
}

export const notices = new Notices();
