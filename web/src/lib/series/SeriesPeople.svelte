<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { SeriesPerson, SeriesView } from '$lib/api/types';
  import { lately } from '$lib/format/dates';
  import { UNTOLD } from '$lib/live/live';
  import { session } from '$lib/session/session.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createInfiniteQuery } from '@tanstack/svelte-query';

  interface Props {
    series: SeriesView;
    mayChange: boolean;
    ontakeout: (person: SeriesPerson) => void;
  }

  let { series, mayChange, ontakeout }: Props = $props();

  const list = createInfiniteQuery(() => ({
    queryKey: ['series-people', series.id],
    queryFn: ({ pageParam }) =>
      answer(
        api.GET('/api/series/{id}/people', {
          params: { path: { id: series.id }, query: { after: pageParam } }
        })
      ),
    refetchInterval: UNTOLD,
    initialPageParam: 0,
    getNextPageParam: (page) => (page.length === 200 ? page[page.length - 1]?.entryId : undefined)
  }));
  const everyone = $derived(list.data?.pages.flat() ?? []);

  function stands(person: SeriesPerson): string {
    if (person.state === 'FINISHED') return 'had all steps';
    if (person.state === 'ENDED') return `out: ${person.endedWhy}`;
    const next = series.steps.find((s) => s.place > placeOf(person));
    return next ? `waits for step ${next.place}` : 'is past the last step';
  }

  function placeOf(person: SeriesPerson): number {
    return series.steps.find((s) => s.id === person.passedStepId)?.place ?? 0;
  }
</script>

<section class="panel" aria-label="People">
  <h2 class="border-b border-line px-3.5 py-2 text-[1rem]">Who is in it</h2>
  {#if list.error}
    <Trouble error={list.error} onretry={() => list.refetch()} />
  {:else if list.data && everyone.length === 0}
    <p class="px-3.5 py-3 text-soft">Nobody yet.</p>
  {/if}
  <ul>
    {#each everyone as person (person.entryId)}
      <li
        class="flex flex-wrap items-baseline gap-x-3 border-b border-line-soft px-3.5 py-1.5 last:border-b-0"
      >
        <a class="font-semibold hover:underline" href={`/people/${person.personId}`}
          >{person.name}</a
        >
        <span class="min-w-0 flex-1 text-[0.93rem]">{stands(person)}</span>
        <span class="text-[0.87rem] text-soft">
          came in {lately(person.enteredAt, session.zone)}, {person.cameBy}
        </span>
        {#if mayChange && person.state === 'IN'}
          <button
            type="button"
            class="min-h-[26px] text-kelp hover:underline max-md:min-h-[44px]"
            aria-label={`Take ${person.name} out`}
            onclick={() => ontakeout(person)}>take out</button
          >
        {/if}
      </li>
    {/each}
  </ul>
  {#if list.hasNextPage}
    <button
      type="button"
      class="min-h-[44px] w-full text-kelp hover:underline"
      onclick={() => void list.fetchNextPage()}>Show more</button
    >
  {/if}
</section>
