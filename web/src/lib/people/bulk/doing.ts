import { answer, api } from '$lib/api/client';
import type { PeopleAct, SelectionBody } from '$lib/api/types';
import { count, people } from '$lib/format/numbers';
import { notices } from '$lib/ui/notices.svelte';
import type { QueryClient } from '@tanstack/svelte-query';

const nothing = { field: null, value: null, list: null, task: null, office: null, ending: null };

/**
 * Does something with many people, says what came of it, and offers to take it back. Lists are read
 * again meanwhile: counting ten thousand people must not keep a dialog open, nor the keys from whoever
 * goes on.
 */
export async function act(
  queries: QueryClient,
  who: SelectionBody,
  what: Pick<PeopleAct, 'kind'> & Partial<PeopleAct>
): Promise<boolean> {
  try {
    const done = await answer(api.POST('/api/people/bulk', { body: { ...nothing, ...what, who } }));
    void queries.invalidateQueries();
    notices.say(outcome(done.words, done.changed, done.of), () => void undo(queries, done.id));
    return true;
  } catch (error) {
    notices.fail(error);
    return false;
  }
}

/** "Tagged “regatta”: 12 people; 3 were so already." */
export function outcome(words: string, changed: number, of: number): string {
  const already = of - changed;
  const rest =
    already === 0
      ? ''
      : already === 1
        ? '; 1 stays as it was'
        : `; ${count(already)} stay as they were`;
  return `${words}: ${people(changed)}${rest}.`;
}

export async function undo(queries: QueryClient, id: number): Promise<void> {
  try {
    const undone = await answer(api.POST('/api/changes/{id}/undo', { params: { path: { id } } }));
    void queries.invalidateQueries();
    notices.say(`Taken back: ${undone.words}.`);
  } catch (error) {
    notices.fail(error);
  }
}
