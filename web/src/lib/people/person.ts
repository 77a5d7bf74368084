import { answer, api } from '$lib/api/client';
import type { ChangeTold, Person } from '$lib/api/types';

/** One person with all fields and what stands around them. */
export const personQuery = (id: number) => ({
  queryKey: ['person', id],
  queryFn: ({ signal }: { signal: AbortSignal }) =>
    answer(api.GET('/api/people/{id}', { params: { path: { id } }, signal }))
});

/** A field's value as it is written, or null. */
export function valueOf(person: Person, field: string): string | null {
  return person.fields.find((f) => f.name === field)?.text ?? null;
}

/** The fields of a person's page in groups; what is in none of them comes last. */
export const groups: { title: string; fields: string[] }[] = [
  {
    title: 'Who they are',
    fields: [
      'kind',
      'honorific',
      'first_name',
      'last_name',
      'organisation.name',
      'birthday',
      'number'
    ]
  },
  {
    title: 'How to reach them',
    fields: [
      'email',
      'phone',
      'address.street',
      'address.postcode',
      'address.place',
      'address.country',
      'time_zone',
      'language',
      'asked_not',
      'app_installed',
      'topic_left',
      'reached_by'
    ]
  },
  { title: 'Membership', fields: ['plan', 'status', 'joined_on', 'renews_on', 'dues_owed'] },
  {
    title: 'With us',
    fields: ['stage', 'source', 'owner', 'tags', 'list', 'last_visit', 'created', 'last_heard']
  }
];

/**
 * Whether the change at a place of the history offers to take its act back: once an act, at its
 * newest change. Whoever was only just put on record is not taken off it from their own page.
 */
export function offersTakingBack(history: ChangeTold[], place: number): boolean {
  const change = history[place];
  return (
    change !== undefined &&
    change.mayBeUndone &&
    change.act !== history[place - 1]?.act &&
    !history.some((c) => c.act === change.act && c.field === 'person')
  );
}
