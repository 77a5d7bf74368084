import { keptFiltersQuery, listsQuery } from '$lib/api/queries';
import { createQuery } from '@tanstack/svelte-query';
import { listFilter } from './audience';

/** The kept filters and lists that a part of an audience can be. */
export function partChoices(enabled: () => boolean) {
  const kept = createQuery(() => ({ ...keptFiltersQuery('people'), enabled: enabled() }));
  const lists = createQuery(() => ({ ...listsQuery(), enabled: enabled() }));
  const all = $derived([
    ...(kept.data ?? []).map((k) => ({ name: k.name, kind: 'filter', filter: k.filter })),
    ...(lists.data ?? []).map((l) => ({ name: l.name, kind: 'list', filter: listFilter(l.name) }))
  ]);
  return {
    get all() {
      return all;
    }
  };
}
