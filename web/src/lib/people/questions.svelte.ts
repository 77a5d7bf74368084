import { answer, api } from '$lib/api/client';
import { fieldsQuery } from '$lib/api/queries';
import type { PeopleTally } from '$lib/api/types';
import { toFilter } from '$lib/filter/draft';
import { useLayout } from '$lib/list/layout.svelte';
import { after } from '$lib/list/moving';
import { reachOf, searches } from '$lib/list/search.svelte';
import { pickedCount, takeAll, toBody } from '$lib/list/selection';
import { createInfiniteQuery, createQuery, keepPreviousData } from '@tanstack/svelte-query';
import { watchTally } from './tally';

/** Beyond so long it is said that people are being counted. */
const PATIENCE_MS = 400;

/** What the people screen asks: who matches, how many, the next rows, and who is picked. */
export function usePeople() {
  const search = searches.people;
  const layout = useLayout(() => search);
  const fields = createQuery(fieldsQuery);
  const filter = $derived(
    toFilter(search.draft, fields.data?.filter ?? [], fields.data?.related ?? [])
  );
  const everyone = $derived(toBody(takeAll(), filter, search.archived));
  let counting = $state<PeopleTally | null>(null);

  const tally = createQuery(() => ({
    queryKey: ['people-tally', everyone],
    queryFn: async ({ signal }) => {
      const begun = Date.now();
      counting = null;
      try {
        return await watchTally(everyone, signal, (soFar) => {
          if (Date.now() - begun > PATIENCE_MS) counting = soFar;
        });
      } finally {
        counting = null;
      }
    },
    placeholderData: keepPreviousData,
    retry: false,
    enabled: fields.isSuccess
  }));
  const list = createInfiniteQuery(() => {
    const { columns, sortBy, descending } = layout.current;
    const who = { ...everyone, reach: reachOf(search.part) };
    return {
      queryKey: ['people-page', who, columns, sortBy, descending],
      queryFn: ({ pageParam, signal }) =>
        answer(
          api.POST('/api/people/page', {
            body: { who, columns, sortBy, descending, after: pageParam },
            signal
          })
        ),
      initialPageParam: null as { key: string | null; id: number } | null,
      getNextPageParam: after,
      placeholderData: keepPreviousData,
      enabled: fields.isSuccess
    };
  });
  const ready = $derived(tally.data?.parts.find((p) => p.reach === 'READY')?.people ?? 0);
  const matching = $derived(
    search.selection.reach
      ? (tally.data?.parts.find((p) => p.reach === search.selection.reach)?.people ?? 0)
      : (tally.data?.total ?? 0)
  );
  const picked = $derived(pickedCount(search.selection, matching));
  const who = $derived(toBody(search.selection, filter, search.archived));
  const ofPicked = createQuery(() => ({
    queryKey: ['picked-tally', who],
    queryFn: ({ signal }) => answer(api.POST('/api/people/tally', { body: who, signal })),
    placeholderData: keepPreviousData,
    enabled: fields.isSuccess && picked > 0
  }));

  return {
    search,
    layout,
    fields,
    tally,
    list,
    get filter() {
      return filter;
    },
    get counting() {
      return counting;
    },
    get rows() {
      return list.data?.pages.flat() ?? [];
    },
    /** Whether the rows that are shown are still those of the list before. */
    get stale() {
      return list.isPlaceholderData;
    },
    /** Whether what is shown is what is asked, and nothing is on its way. */
    get settled() {
      return tally.isSuccess && !tally.isFetching && !tally.isPlaceholderData;
    },
    get ready() {
      return ready;
    },
    get picked() {
      return picked;
    },
    get who() {
      return who;
    },
    /** How many of the picked; not known while they are counted. */
    get canBeMailed() {
      const known = ofPicked.isSuccess && !ofPicked.isPlaceholderData;
      return known
        ? (ofPicked.data.parts.find((p) => p.reach === 'READY')?.people ?? 0)
        : undefined;
    }
  };
}
