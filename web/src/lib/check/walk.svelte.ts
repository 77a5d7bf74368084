import type { Writing } from '$lib/draft/writing.svelte';
import type { Which } from './checkParts';
import type { Chosen } from './looking.svelte';
import { isChosen, mailingQuestions } from './questions.svelte';

/** So near the end of the list the next page is asked for. */
const NEAR_THE_END = 20;

/** Going through the messages of a mailing, one after another: which are listed, which one is shown. */
export function walk(writing: Writing, onchoose: (row: Chosen) => void) {
  let which = $state.raw<Which | null>(null);
  let name = $state('');
  let chosen = $state.raw<Chosen | null>(null);
  const asked = mailingQuestions(
    writing,
    () => ({ which, name }),
    () => chosen
  );
  const { check, audience } = asked;
  /** Who gets nothing has no proof. */
  const proofs = $derived(asked.list.filter((p) => p.reach === 'READY'));
  const place = $derived(proofs.findIndex((p) => isChosen(p, asked.current)) + 1);
  const of = $derived(which || name ? proofs.length : (check.data?.ready ?? proofs.length));

  function choose(row: Chosen) {
    chosen = { id: row.id, recordId: row.recordId };
    onchoose(row);
  }

  function more() {
    if (audience.hasNextPage && !audience.isFetching) void audience.fetchNextPage();
  }

  return {
    asked,
    choose,
    more,
    get which() {
      return which;
    },
    get name() {
      return name;
    },
    /** The place of the one that is shown, from 1; 0 for none. */
    get place() {
      return place;
    },
    /** How many there are to go through. */
    get of() {
      return of;
    },
    /** Lists some of them; null lists all. */
    show(wanted: Which | null) {
      which = wanted;
      chosen = null;
    },
    named(wanted: string) {
      name = wanted;
      chosen = null;
    },
    step(by: number) {
      const next = proofs[Math.max(0, Math.min(proofs.length - 1, place - 1 + by))];
      if (!next) return;
      choose(next);
      if (place > proofs.length - NEAR_THE_END) more();
    }
  };
}
