import type { ColleagueName } from '$lib/api/types';

/** Those who can be chosen: who is there, and whoever is chosen already. */
export function choosable<T extends ColleagueName>(
  colleagues: T[] | undefined,
  isChosen: (colleague: T) => boolean = () => false
): T[] {
  return (colleagues ?? []).filter((c) => !c.off || isChosen(c));
}
