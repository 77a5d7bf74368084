/**
 * Keys by which the server does an act once: the same act while its answer is still awaited, or
 * after the answer was lost on the way, has the same key. When its answer has come it is over, and
 * doing it again is another act.
 */
export class Once {
  private readonly open = new Map<string, string>();

  constructor(private readonly fresh: () => string = () => crypto.randomUUID()) {}

  /** The key of an act, which is told by all that is sent. */
  key(act: string): string {
    const known = this.open.get(act);
    if (known) return known;
    const key = this.fresh();
    this.open.set(act, key);
    return key;
  }

  /** Its answer has come. */
  answered(act: string) {
    this.open.delete(act);
  }
}

/** Whether a request changes something; others only ask, whatever their method. */
export function isAct(method: string, path: string): boolean {
  return (
    method !== 'GET' &&
    !/\/(watch|export|page|tally|preview|plan)$/.test(path) &&
    !/\/records\/[a-z]+\/people$/.test(path)
  );
}
