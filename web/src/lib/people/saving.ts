import { answer, api, ApiProblem } from '$lib/api/client';
import type { ChangeTold, Person } from '$lib/api/types';
import { notices } from '$lib/ui/notices.svelte';
import type { QueryClient } from '@tanstack/svelte-query';
import { undo } from './bulk/doing';

/** What came of saving a field: saved, a sentence that says what is wrong, or a clash. */
export type Saving = { wrong: string } | { clash: ChangeTold } | null;

/**
 * Saves one field of a person as it was written; nothing is saved over what others changed after the
 * version that the writer saw.
 */
export async function saveField(
  queries: QueryClient,
  person: Person,
  version: number,
  field: string,
  text: string | null
): Promise<Saving> {
  try {
    const saved = await answer(
      api.PUT('/api/people/{id}', {
        params: { path: { id: person.id } },
        body: { version, values: { [field]: text as string } }
      })
    );
    const clash = saved.conflicts[0];
    if (clash) return { clash };
    await queries.invalidateQueries();
    const label = person.fields.find((f) => f.name === field)?.label ?? field;
    const { act } = saved;
    if (act)
      notices.say(`${label} is saved.${told(saved.meanwhile)}`, () => void undo(queries, act));
    return null;
  } catch (error) {
    if (error instanceof ApiProblem && error.status === 422) return { wrong: error.message };
    notices.fail(error);
    return { wrong: 'Not saved.' };
  }
}

/** What somebody else changed since one looked. */
export function told(meanwhile: ChangeTold[]): string {
  const others = [...new Set(meanwhile.map((c) => c.by))];
  return others.length ? ` ${others.join(' and ')} changed other fields meanwhile.` : '';
}
