import type { ColleagueName, Estate } from '$lib/api/types';
import { fold } from '$lib/format/fold';
import { count } from '$lib/format/numbers';

/** A login that fits a name and that nobody has: "mara", else "mara.penrose", "mara.penrose2" … */
export function loginFor(name: string, taken: string[]): string {
  const words = fold(name)
    .split(/[^a-z0-9]+/)
    .filter(Boolean);
  const first = words[0]?.replace(/^[^a-z]+/, '') ?? '';
  if (!first) return '';
  const whole = [first, ...words.slice(1)].join('.').slice(0, 36);
  const free = (login: string) => !taken.includes(login);
  if (free(first)) return first;
  if (free(whole)) return whole;
  let n = 2;
  while (!free(`${whole}${n}`)) n++;
  return `${whole}${n}`;
}

/** What somebody would leave behind, in a row: "12 people, 1 open task and 3 drafts". */
export function ownedWords(owned: Estate['owned']): string {
  const words = owned.map((o) => `${count(o.count)} ${o.count === 1 ? o.one : o.many}`);
  const last = words.pop() ?? '';
  return words.length ? `${words.join(', ')} and ${last}` : last;
}

/** Whether somebody can be given what another leaves: they are there, and change things. */
export const takesOver = (of: ColleagueName) => (other: ColleagueName) =>
  other.id !== of.id && !other.off && other.works;
