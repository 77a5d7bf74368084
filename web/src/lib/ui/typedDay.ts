import { answer, api } from '$lib/api/client';

/** Which day is meant where the year is not written. */
export type Lean = 'AHEAD' | 'BACK';

/** What people typed for a day, as the house reads it; null when it is no day. */
export async function readDay(
  text: string,
  lean: Lean
): Promise<{ day: string; words: string } | null> {
  const query = { text, lean };
  const { day, words } = await answer(api.GET('/api/typed/day', { params: { query } }));
  return day && words ? { day, words } : null;
}

/** What people typed for a time of day, as "09:00"; null when it is none. */
export async function readTime(text: string): Promise<string | null> {
  const { time } = await answer(api.GET('/api/typed/time', { params: { query: { text } } }));
  return time?.slice(0, 5) ?? null;
}

/** Answers in the order in which they were asked: what comes late of an earlier question is dropped. */
export class Latest {
  #asked = 0;

  /** The answer, or undefined when something newer was asked meanwhile. */
  async of<T>(question: Promise<T>): Promise<T | undefined> {
    const mine = ++this.#asked;
    const answered = await question;
    return mine === this.#asked ? answered : undefined;
  }
}
