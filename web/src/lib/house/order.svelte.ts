/** The same with the word at a place one place further up. */
export function movedUp(names: string[], at: number): string[] {
  const moved = [...names];
  moved.splice(at - 1, 0, ...moved.splice(at, 1));
  return moved;
}

/**
 * The order of words while they are moved: each step is seen at once, and told one after another, so
 * that a second step begins where the first one ended.
 */
export class WordOrder {
  private wanted = $state.raw<string[] | null>(null);
  private told: Promise<unknown> = Promise.resolve();

  /** The words in the order that is wanted; new ones stand last. */
  of<T extends { name: string }>(words: T[]): T[] {
    const order = this.wanted;
    if (!order) return words;
    const place = (word: T) =>
      order.includes(word.name) ? order.indexOf(word.name) : order.length;
    return [...words].sort((a, b) => place(a) - place(b));
  }

  /** Wants this order, and tells it when those before are told. */
  tell(names: string[], send: (names: string[]) => Promise<unknown>): Promise<unknown> {
    this.wanted = names;
    this.told = this.told
      .catch(() => undefined)
      .then(() => (this.wanted === names ? send(names) : undefined))
      .finally(() => {
        if (this.wanted === names) this.wanted = null;
      });
    return this.told;
  }
}
