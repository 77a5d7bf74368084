import { answer, api } from '$lib/api/client';
import type { Filter, RelatedKind, SelectionBody } from '$lib/api/types';
import { everyone, fromFilter } from '$lib/filter/draft';
import type { ListSearch } from '$lib/list/search.svelte';
import { onlyThese, takeAll } from '$lib/list/selection';

/**
 * Looks for the people whom records belong to: all who have such a record are picked when no or
 * every record is, else those of the picked records alone.
 */
export async function findTheirPeople(
  people: ListSearch,
  kind: RelatedKind,
  search: ListSearch,
  many: 'quotes' | 'tasks' | 'events',
  filter: Filter,
  which: SelectionBody
): Promise<void> {
  const { selection } = search;
  const { match, parts } = fromFilter(filter);
  people.change({
    ...everyone,
    parts: [{ is: 'related', kind, atLeast: 1, where: { match, parts } }]
  });
  if (selection.picked.size === 0 && selection.dropped.size === 0) {
    people.selection = takeAll();
    return;
  }
  const theirs = await answer(
    api.POST('/api/records/{many}/people', { params: { path: { many } }, body: which })
  );
  people.selection = onlyThese(theirs.people);
}
