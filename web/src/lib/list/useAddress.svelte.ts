import { replaceState } from '$app/navigation';
import { page } from '$app/state';
import type { Filter, Layout } from '$lib/api/types';
import { fromFilter } from '$lib/filter/draft';
import { queryOf, shownBy, type Shown } from './address';
import { keepPicked, pickedBefore } from './picked';
import { onMount, tick } from 'svelte';
import type { ListSearch } from './search.svelte';

/** What a list asks; null while that cannot be said. */
export type Asked = () => { filter: Filter; layout: Layout } | null;

/**
 * Keeps what a list shows in its address, so that a reload, a new tab, a link and going back show
 * it again; who is picked is kept in the tab.
 */
export function useAddress(search: ListSearch, asked: Asked) {
  let begun = $state(false);
  const shown = shownBy(page.url.searchParams);
  if (shown && search.address !== page.url.search.slice(1)) show(search, shown);

  // The address of the page that comes stands before its address may be changed.
  onMount(() => void tick().then(() => (begun = true)));

  $effect(() => {
    const now = asked();
    if (!begun || !now) return;
    const { sortBy, descending } = now.layout;
    const { part, archived } = search;
    const shows = { filter: now.filter, part, archived, sortBy, descending };
    search.address = queryOf(shows);
    keepPicked(search.subject, listed(shows), search.selection);
    if (location.search.slice(1) !== search.address) {
      replaceState(`?${search.address}`, page.state);
    }
  });
}

function show(search: ListSearch, shown: Shown) {
  const { sortBy, descending } = shown;
  search.change(fromFilter(shown.filter));
  search.part = shown.part;
  search.archived = shown.archived;
  search.sort = { sortBy, descending };
  search.selection = pickedBefore(search.subject, listed(shown));
}

/** What is listed, in whatever order. */
function listed(shown: Shown): string {
  return queryOf({ ...shown, sortBy: null, descending: false });
}
