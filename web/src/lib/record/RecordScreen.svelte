<script lang="ts">
  import { goto } from '$app/navigation';
  import { fieldsQuery } from '$lib/api/queries';
  import type { FilterField, RelatedKind } from '$lib/api/types';
  import { toFilter } from '$lib/filter/draft';
  import FilterSentence from '$lib/filter/FilterSentence.svelte';
  import KeptMenu from '$lib/filter/KeptMenu.svelte';
  import { keys } from '$lib/keys/keys.svelte';
  import ColumnChooser from '$lib/list/ColumnChooser.svelte';
  import { useLayout } from '$lib/list/layout.svelte';
  import ListTable from '$lib/list/ListTable.svelte';
  import { listKeys, pick, toList } from '$lib/list/moving';
  import { searches, type ListSearch } from '$lib/list/search.svelte';
  import { nobody, pickedCount, takeAll, toBody } from '$lib/list/selection';
  import { useAddress } from '$lib/list/useAddress.svelte';
  import { session } from '$lib/session/session.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import Tally, { type TallyPart } from '$lib/ui/Tally.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { onMount, type Snippet } from 'svelte';
  import { inOrder, partFilter, partTone } from './parts';
  import RecordBar from './RecordBar.svelte';
  import { useRecords } from './records.svelte';
  import { findTheirPeople } from './theirPeople';

  interface Props {
    search: ListSearch;
    kind: RelatedKind;
    many: 'quotes' | 'tasks' | 'events';
    title: string;
    /** What stands above the list: ways to look at it. */
    sides?: Snippet;
  }

  let { search, kind, many, title, sides }: Props = $props();

  const queries = useQueryClient();
  let listed = $state<HTMLElement>();
  let writing = $state(false);
  const layout = useLayout(() => search);
  const catalogue = createQuery(fieldsQuery);
  const fields = $derived<FilterField[]>(
    catalogue.data?.related.find((r) => r.kind === kind)?.fields ?? []
  );
  const asked = $derived(toFilter(search.draft, fields, []));
  const filter = $derived(search.part ? partFilter(many, search.part, asked) : asked);
  // The screens give each its own search, which does not change while it is there.
  // svelte-ignore state_referenced_locally
  useAddress(search, () =>
    catalogue.isSuccess ? { filter: asked, layout: layout.current } : null
  );

  const { tally, list } = useRecords(() => ({
    many,
    asked,
    filter,
    layout: layout.current,
    enabled: catalogue.isSuccess
  }));
  const rows = $derived(list.data?.pages.flat() ?? []);
  const matching = $derived(
    search.part
      ? (tally.data?.parts.find((p) => p.part === search.part)?.records ?? 0)
      : (tally.data?.total ?? 0)
  );
  const picked = $derived(pickedCount(search.selection, matching));
  const which = $derived(toBody(search.selection, filter));
  const parts = $derived<TallyPart[]>([
    ...inOrder(tally.data?.parts ?? []).map((p) => ({
      key: p.part,
      count: p.records,
      words: p.part,
      tone: partTone(p.part)
    })),
    { key: 'all', count: tally.data?.total ?? 0, words: 'in all', tone: 'open' as const, sum: true }
  ]);

  function choosePart(key: string) {
    search.part = key === 'all' || key === search.part ? null : key;
    search.selection = nobody;
  }

  const takeOrLetGo = () => (search.selection = picked > 0 ? nobody : takeAll());

  /** About the picked, or about all that match when none is picked. */
  function write() {
    if (!session.may('WRITE_TO_ONE') || matching === 0) return;
    if (picked === 0) search.selection = takeAll();
    writing = true;
  }

  function open() {
    const row = rows.find((r) => r.id === search.cursor);
    if (!row) write();
    else if (row.personId) void goto(`/people/${row.personId}`);
  }

  async function theirPeople() {
    try {
      await findTheirPeople(searches.people, kind, search, many, filter, which);
      await goto('/people');
    } catch (error) {
      notices.fail(error);
    }
  }

  onMount(() =>
    keys.use({
      ...listKeys(search, () => (list.isPlaceholderData ? [] : rows)),
      'Ctrl+a': takeOrLetGo,
      w: write,
      Enter: open
    })
  );
  $effect(() => {
    if (!search.writes || !tally.isSuccess || tally.isFetching) return;
    search.writes = false;
    write();
  });
</script>

<svelte:head><title>{title} · Jemble</title></svelte:head>

<div class="flex flex-wrap items-start justify-between gap-x-6 gap-y-2">
  <FilterSentence
    draft={search.draft}
    {fields}
    related={[]}
    subject={many}
    onchange={(draft) => search.change(draft)}
    ondone={() => toList(listed)}
    onwrite={() => (search.writes = true)}
  />
  <div class="flex flex-wrap items-center gap-3">
    <KeptMenu
      subject={many}
      shown={search.kept}
      filter={asked}
      layout={layout.current}
      onshow={(kept) => search.show(kept)}
      onkept={(name) => (search.kept = name)}
    />
    <ColumnChooser
      {fields}
      layout={layout.current}
      onlayout={(l) => layout.set(l)}
      onusual={() => layout.reset()}
    />
  </div>
</div>
{@render sides?.()}
{#if tally.error}
  <Trouble error={tally.error} onretry={() => tally.refetch()} />
{:else if tally.isSuccess}
  <Tally label={`${title}, in parts`} {parts} chosen={search.part} onchoose={choosePart} />
{/if}
<!-- What scrolls must be reachable by key. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div
  class="panel min-h-0 flex-1 overflow-auto"
  tabindex="0"
  role="region"
  aria-label={title}
  aria-busy={list.isPlaceholderData}
  bind:this={listed}
>
  {#if list.error}
    <Trouble error={list.error} onretry={() => list.refetch()} />
  {:else if list.isSuccess && rows.length === 0}
    <p class="p-6 text-soft">None match. Take a condition out, or widen one.</p>
  {:else}
    <ListTable
      {rows}
      {fields}
      layout={layout.current}
      selection={search.selection}
      cursor={search.cursor}
      first="Whose"
      allPicked={picked > 0 && picked === matching}
      onpick={(row, range) => pick(search, rows, row, range)}
      onpickall={takeOrLetGo}
      oncursor={(id) => (search.cursor = id)}
      onopen={(row) => row.personId && void goto(`/people/${row.personId}`)}
      onlayout={(l) => layout.set(l)}
      onend={() => list.hasNextPage && !list.isFetching && list.fetchNextPage()}
    />
  {/if}
</div>
<RecordBar
  bind:writing
  {kind}
  {many}
  {picked}
  {matching}
  {which}
  {queries}
  ontakeall={() => (search.selection = takeAll())}
  onletgo={() => (search.selection = nobody)}
  onwrite={write}
  onpeople={theirPeople}
/>
