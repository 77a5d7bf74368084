import { peopleCalled } from '$lib/api/named';
import { keptFiltersQuery, listsQuery, mailingsQuery, templatesQuery } from '$lib/api/queries';
import { readTyped, type Subject } from '$lib/filter/typed.svelte';
import { session } from '$lib/session/session.svelte';
import { createQuery } from '@tanstack/svelte-query';
import { asks, found, subjectOf, type Known, type Sought } from './findable';

/** As few letters are read as a search. */
const SHORTEST = 3;

/** What the finder knows of some words, as long as it is open. */
export function useFinding(words: () => string, open: () => boolean) {
  const sought = $derived(subjectOf(words()));
  const long = $derived(open() && sought.text.length >= SHORTEST);
  const named = $derived(sought.text.length > 1);
  const people = createQuery(() => peopleCalled(words(), open()));
  const mailings = createQuery(() => ({ ...mailingsQuery(), enabled: open() }));
  const templates = createQuery(() => ({ ...templatesQuery(), enabled: open() }));
  const lists = createQuery(() => ({ ...listsQuery(), enabled: open() }));
  const ofPeople = createQuery(() => ({ ...keptFiltersQuery('people'), enabled: open() }));
  const ofQuotes = createQuery(() => ({ ...keptFiltersQuery('quotes'), enabled: open() }));
  const ofTasks = createQuery(() => ({ ...keptFiltersQuery('tasks'), enabled: open() }));
  const typed = createQuery(() => ({
    queryKey: ['typed', sought.subject, sought.text],
    queryFn: ({ signal }: { signal: AbortSignal }) =>
      readTyped(sought.subject, sought.text, signal),
    enabled: long,
    staleTime: 5000
  }));
  const kept = $derived<Sought[]>([
    ...(ofPeople.data ?? []).map((k) => of('people', k)),
    ...(ofQuotes.data ?? []).map((k) => of('quotes', k)),
    ...(ofTasks.data ?? []).map((k) => of('tasks', k))
  ]);
  const read = $derived.by<Known['typed']>(() => {
    const data = long ? typed.data : undefined;
    if (!data || !asks(data.filter)) return null;
    const seek = { subject: sought.subject, filter: data.filter };
    return { seek, words: data.words, unknown: data.unknown };
  });
  const results = $derived(
    found(words(), {
      people: named ? (people.data ?? []).map((p) => ({ id: p.id, name: p.name ?? '' })) : [],
      mailings: mailings.data ?? [],
      templates: templates.data ?? [],
      lists: lists.data ?? [],
      kept,
      typed: read,
      rights: session.colleague?.rights ?? []
    })
  );

  return {
    get results() {
      return results;
    },
    /** Whether the words as they stand have been read. */
    get isRead() {
      return !long || (!typed.isFetching && typed.isFetched);
    }
  };
}

function of(subject: Subject, kept: { name: string; filter: Sought['filter'] }): Sought {
  return { subject, filter: kept.filter, kept: kept.name };
}
