<script lang="ts">
  import { page } from '$app/state';
  import { answer, api } from '$lib/api/client';
  import { fieldsQuery } from '$lib/api/queries';
  import type { PersonRow, Reach } from '$lib/api/types';
  import { toFilter, type FilterDraft } from '$lib/filter/draft';
  import FilterSentence from '$lib/filter/FilterSentence.svelte';
  import { keys } from '$lib/keys/keys.svelte';
  import BeginDialog from '$lib/mailing/BeginDialog.svelte';
  import PeopleTable from '$lib/people/PeopleTable.svelte';
  import PersonPane from '$lib/people/PersonPane.svelte';
  import PickBar from '$lib/people/PickBar.svelte';
  import { reachParts } from '$lib/people/reach';
  import { search } from '$lib/people/search.svelte';
  import {
    between,
    isPicked,
    nobody,
    pickedCount,
    takeAll,
    withPeople
  } from '$lib/people/selection';
  import { notices } from '$lib/ui/notices.svelte';
  import Tally from '$lib/ui/Tally.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createInfiniteQuery, createQuery, keepPreviousData } from '@tanstack/svelte-query';
  import { onMount } from 'svelte';

  const fields = createQuery(fieldsQuery);
  const filter = $derived(toFilter(search.draft, fields.data?.filter ?? []));

  const tally = createQuery(() => ({
    queryKey: ['people-tally', filter],
    queryFn: ({ signal }) => answer(api.POST('/api/people/tally', { body: filter, signal })),
    placeholderData: keepPreviousData,
    enabled: fields.isSuccess
  }));
  const list = createInfiniteQuery(() => ({
    queryKey: ['people-page', filter, search.reach],
    queryFn: ({ pageParam, signal }) =>
      answer(
        api.POST('/api/people/page', {
          body: { filter, reach: search.reach, after: pageParam },
          signal
        })
      ),
    initialPageParam: null as { nameKey: string; id: number } | null,
    getNextPageParam: (last: PersonRow[]) => {
      const end = last.length === 100 ? last[99] : undefined;
      return end ? { nameKey: end.nameKey, id: end.id } : undefined;
    },
    placeholderData: keepPreviousData,
    enabled: fields.isSuccess
  }));

  const rows = $derived(list.data?.pages.flat() ?? []);
  const ready = $derived(tally.data?.parts.find((p) => p.reach === 'READY')?.people ?? 0);
  const picked = $derived(pickedCount(search.selection, ready));
  /** Whom the pane shows: who has the cursor, else the first of the list. */
  const shown = $derived(search.cursor ?? rows[0]?.id ?? null);
  let writing = $state(false);
  let writeTo = $state<number | null>(null);

  function change(draft: FilterDraft) {
    search.change(draft);
  }

  function chooseReach(key: string) {
    search.reach = key === 'all' || key === search.reach ? null : (key as Reach);
  }

  function pick(row: PersonRow, range: boolean) {
    const on = !isPicked(search.selection, row.id);
    const able = rows.filter((r) => r.reach === 'READY').map((r) => r.id);
    const ids = range && search.cursor !== null ? between(able, search.cursor, row.id) : [row.id];
    search.selection = withPeople(search.selection, ids, on);
    search.cursor = row.id;
  }

  function takeOrLetGo() {
    search.selection = picked > 0 && picked === ready ? nobody : takeAll;
  }

  function move(step: number) {
    const at = rows.findIndex((r) => r.id === search.cursor);
    const next = rows[Math.max(0, Math.min(rows.length - 1, at + step))];
    if (!next) return;
    search.cursor = next.id;
    document.getElementById(`person-${next.id}`)?.scrollIntoView({ block: 'nearest' });
  }

  function reachWords(row: PersonRow): string {
    return tally.data?.parts.find((p) => p.reach === row.reach)?.words ?? '';
  }

  function pickAtCursor() {
    const row = rows.find((r) => r.id === search.cursor);
    if (row?.reach === 'READY') pick(row, false);
    else if (row) notices.say(`${row.name} cannot be e-mailed: ${reachWords(row)}.`);
  }

  function write(id: number | null) {
    writeTo = id;
    if (id !== null || picked > 0) writing = true;
  }

  onMount(() => {
    const asked = Number(page.url.searchParams.get('person'));
    if (asked) search.cursor = asked;
    return keys.use({
      j: () => move(1),
      k: () => move(-1),
      x: pickAtCursor,
      a: takeOrLetGo,
      w: () => write(null)
    });
  });
</script>

<svelte:head><title>People · Jemble</title></svelte:head>

{#if fields.data}
  <FilterSentence draft={search.draft} fields={fields.data.filter} onchange={change} />
{:else}
  <h1 class="text-[1.4rem]">Show</h1>
{/if}
{#if tally.error}
  <Trouble error={tally.error} onretry={() => tally.refetch()} />
{:else if tally.data}
  <Tally
    label="People who match, by whether they can be written to"
    parts={reachParts(tally.data.parts, tally.data.total)}
    chosen={search.reach}
    onchoose={chooseReach}
  />
{/if}
<div
  class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_306px] gap-3.5 max-lg:grid-cols-1 max-lg:grid-rows-[auto_minmax(0,1fr)]"
>
  <!-- What scrolls must be reachable by key. -->
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="panel min-h-0 overflow-auto" tabindex="0" role="region" aria-label="People">
    {#if list.error}
      <Trouble error={list.error} onretry={() => list.refetch()} />
    {:else if list.isSuccess && rows.length === 0}
      <p class="p-6 text-soft">
        Nobody matches. Take a condition out, or widen one, and people show here.
      </p>
    {:else}
      <PeopleTable
        {rows}
        selection={search.selection}
        cursor={search.cursor}
        {reachWords}
        allPicked={picked > 0 && picked === ready}
        onpick={pick}
        onpickall={takeOrLetGo}
        oncursor={(id) => (search.cursor = id)}
        onend={() => list.hasNextPage && !list.isFetching && list.fetchNextPage()}
      />
    {/if}
  </div>
  <aside
    class={`panel min-h-0 overflow-y-auto max-lg:order-first ${search.cursor === null ? 'max-lg:hidden' : 'max-lg:max-h-[38dvh]'}`}
    aria-label="Person"
  >
    {#if shown !== null}
      <PersonPane id={shown} onwrite={write} />
    {:else}
      <p class="p-4 text-soft">Choose a person to see what passed between you.</p>
    {/if}
  </aside>
</div>
<PickBar
  {picked}
  {ready}
  ontakeall={() => (search.selection = takeAll)}
  onletgo={() => (search.selection = nobody)}
  onwrite={() => write(null)}
/>
<BeginDialog
  bind:open={writing}
  count={writeTo === null ? picked : 1}
  filter={writeTo === null && search.selection.all ? filter : null}
  picks={writeTo !== null ? [writeTo] : [...search.selection.picked]}
  leftOut={writeTo === null ? [...search.selection.dropped] : []}
/>
