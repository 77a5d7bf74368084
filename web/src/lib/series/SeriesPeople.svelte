<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { SeriesPerson, SeriesView } from '$lib/api/types';
  import { lately } from '$lib/format/dates';
  import { now } from '$lib/format/now';
  import { UNTOLD } from '$lib/live/live';
  import { session } from '$lib/session/session.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createInfiniteQuery } from '@tanstack/svelte-query';
  import { Select } from 'flowbite-svelte';
  import type { WhichPeople } from './series';

  interface Props {
    series: SeriesView;
    which: WhichPeople;
    onwhich: (which: WhichPeople) => void;
    onchoose: (person: number) => void;
  }

  let { series, which, onwhich, onchoose }: Props = $props();

  const list = createInfiniteQuery(() => ({
    queryKey: ['series-people', series.id, 'list', which],
    queryFn: ({ pageParam }) =>
      answer(
        api.GET('/api/series/{id}/people', {
          params: {
            path: { id: series.id },
            query: {
              after: pageParam,
              state: which.state,
              waitsFor: which.waitsFor,
              passedOverBy: which.passedOverBy
            }
          }
        })
      ),
    refetchInterval: UNTOLD,
    initialPageParam: 0,
    getNextPageParam: (page) => (page.length === 200 ? page[page.length - 1]?.entryId : undefined)
  }));
  const everyone = $derived(list.data?.pages.flat() ?? []);

  const choices = $derived([
    { value: 'all', name: 'everyone who came in' },
    { value: 'IN', name: 'who is in it' },
    ...series.steps.map((s) => ({ value: `next-${s.id}`, name: `whose next is step ${s.place}` })),
    ...series.steps
      .filter((s) => s.without > 0)
      .map((s) => ({ value: `over-${s.id}`, name: `whom step ${s.place} passed over` })),
    { value: 'FINISHED', name: 'who had all steps' },
    { value: 'ENDED', name: 'who is out before the end' }
  ]);
  const chosen = $derived(
    which.waitsFor
      ? `next-${which.waitsFor}`
      : which.passedOverBy
        ? `over-${which.passedOverBy}`
        : (which.state ?? 'all')
  );

  function choose(key: string) {
    const step = Number(key.split('-')[1]);
    if (key.startsWith('next-')) onwhich({ waitsFor: step });
    else if (key.startsWith('over-')) onwhich({ passedOverBy: step });
    else onwhich(key === 'all' ? {} : { state: key as SeriesPerson['state'] });
  }

  function stands(person: SeriesPerson): string {
    if (person.passedOverWhy) return `passed over: ${person.passedOverWhy}`;
    if (person.state === 'FINISHED') return 'had all steps';
    if (person.state === 'ENDED') return `out: ${person.endedWhy}`;
    const next = series.steps.find((s) => s.place > placeOf(person));
    return next ? `waits for step ${next.place}` : 'is past the last step';
  }

  function placeOf(person: SeriesPerson): number {
    return series.steps.find((s) => s.id === person.passedStepId)?.place ?? 0;
  }
</script>

<div class="flex min-h-0 flex-1 flex-col">
  <div class="border-b border-line px-3.5 py-2">
    <Select
      class="py-1"
      placeholder=""
      aria-label="Which of them"
      items={choices}
      bind:value={() => chosen, choose}
    />
  </div>
  {#if list.error}
    <Trouble error={list.error} onretry={() => list.refetch()} />
  {:else if list.data && everyone.length === 0}
    <p class="px-3.5 py-3 text-soft">
      {chosen === 'all' ? 'Nobody came in yet.' : 'Nobody at present.'}
    </p>
  {/if}
  <ul class="min-h-0 flex-1 overflow-y-auto">
    {#each everyone as person (person.entryId)}
      <li class="border-b border-line-soft last:border-b-0">
        <button
          type="button"
          class="block w-full px-3.5 py-1.5 text-left hover:bg-kelp-pale"
          onclick={() => onchoose(person.personId)}
        >
          <span class="flex flex-wrap items-baseline gap-x-3">
            <strong class="min-w-0 flex-1 truncate" title={person.name}>{person.name}</strong>
            <span class="text-[0.93rem]">{stands(person)}</span>
          </span>
          <span class="block text-[0.87rem] text-soft">
            {new Date(person.enteredAt) > now() ? 'comes in' : 'came in'}
            {lately(person.enteredAt, session.zone)}, {person.cameBy}
          </span>
        </button>
      </li>
    {/each}
    {#if list.hasNextPage}
      <li>
        <button
          type="button"
          class="min-h-[44px] w-full text-kelp hover:underline"
          onclick={() => void list.fetchNextPage()}>Show more</button
        >
      </li>
    {/if}
  </ul>
</div>
