<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import type { ListRow } from '$lib/api/types';
  import FilterSentence from '$lib/filter/FilterSentence.svelte';
  import KeptMenu from '$lib/filter/KeptMenu.svelte';
  import { keys } from '$lib/keys/keys.svelte';
  import ColumnChooser from '$lib/list/ColumnChooser.svelte';
  import ListTable from '$lib/list/ListTable.svelte';
  import { listKeys, pick, toList } from '$lib/list/moving';
  import { reachOf } from '$lib/list/search.svelte';
  import { nobody, onlyThese, takeAll } from '$lib/list/selection';
  import { useAddress } from '$lib/list/useAddress.svelte';
  import BeginDialog from '$lib/mailing/BeginDialog.svelte';
  import MatchTally from '$lib/people/MatchTally.svelte';
  import NewPersonDialog from '$lib/people/NewPersonDialog.svelte';
  import PeopleLinks from '$lib/people/PeopleLinks.svelte';
  import PersonPane from '$lib/people/PersonPane.svelte';
  import PickBar from '$lib/people/PickBar.svelte';
  import { usePeople } from '$lib/people/questions.svelte';
  import { beginLabels } from '$lib/paper/begin';
  import { session } from '$lib/session/session.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { onMount } from 'svelte';

  const people = usePeople();
  const { search, layout } = people;
  useAddress(search, () =>
    people.fields.isSuccess ? { filter: people.filter, layout: layout.current } : null
  );

  /** Whom the pane shows: who has the cursor, else the first of the list. */
  const shown = $derived(search.cursor ?? people.rows[0]?.id ?? null);
  const fields = $derived(people.fields.data?.filter ?? []);
  const allPicked = $derived(people.picked > 0 && people.picked === people.tally.data?.total);
  let writing = $state(false);
  let onPaper = $state(false);
  let writeTo = $state<number | null>(null);
  let adding = $state(false);
  /** Where there is no room beside the list: whether a person is looked at above it. */
  let looking = $state(false);
  let listed = $state<HTMLElement>();
  const mayWrite = $derived(session.may('WRITE_TO_ONE'));

  function takeOrLetGo() {
    search.selection = people.picked > 0 && search.selection.all ? nobody : takeHere();
  }

  /** All who match; of the part that is shown, when one is. */
  function takeHere() {
    return takeAll(reachOf(search.part));
  }

  function beside(row: ListRow): string {
    if (row.reach === 'READY') return '';
    return people.tally.data?.parts.find((p) => p.reach === row.reach)?.words ?? '';
  }

  /** To one, to the picked, or to all who match when nobody is picked. */
  function write(id: number | null) {
    if (!mayWrite) return;
    const matching = people.tally.data?.total ?? 0;
    if (id === null && (matching === 0 || (people.picked > 0 && people.canBeMailed === 0))) return;
    if (id === null && people.picked === 0) search.selection = takeHere();
    writeTo = id;
    onPaper = false;
    writing = true;
  }

  /** On paper, to whoever is picked, whether or not they can be e-mailed. */
  function letter() {
    writeTo = null;
    onPaper = true;
    writing = true;
  }

  async function labels() {
    const path = await beginLabels(people.who, search.selection.all ? search.kept : null);
    if (path) await goto(path);
  }

  function open() {
    if (search.cursor === null) write(null);
    else void goto(`/people/${search.cursor}`);
  }

  function lookAt(id: number) {
    search.cursor = id;
    looking = true;
  }

  onMount(() => {
    const asked = Number(page.url.searchParams.get('person'));
    if (asked) lookAt(asked);
    return keys.use({
      ...listKeys(search, () => (people.stale ? [] : people.rows)),
      'Ctrl+a': takeOrLetGo,
      w: () => write(null),
      Enter: open
    });
  });
  $effect(() => {
    if (!search.writes || !people.settled) return;
    search.writes = false;
    write(null);
  });
</script>

<svelte:head><title>People · Jemble</title></svelte:head>

<div class="flex flex-wrap items-start justify-between gap-x-6 gap-y-2">
  {#if people.fields.data}
    <FilterSentence
      draft={search.draft}
      fields={people.fields.data.filter}
      related={people.fields.data.related}
      onchange={(draft) => search.change(draft)}
      ondone={() => toList(listed)}
      onwrite={() => (search.writes = true)}
    />
  {:else}
    <h1 class="text-[1.4rem]">Show</h1>
  {/if}
  <div class="flex flex-wrap items-center gap-3">
    <KeptMenu
      subject="people"
      shown={search.kept}
      filter={people.filter}
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
    <PeopleLinks onnew={() => (adding = true)} />
  </div>
</div>
<MatchTally {people} />
<div
  class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_306px] gap-3.5 max-lg:grid-cols-1 max-lg:grid-rows-[auto_minmax(0,1fr)]"
>
  <!-- What scrolls must be reachable by key. -->
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div
    class="panel min-h-0 overflow-auto"
    tabindex="0"
    role="region"
    aria-label="People"
    aria-busy={people.stale}
    bind:this={listed}
  >
    {#if people.list.error}
      <Trouble error={people.list.error} onretry={() => people.list.refetch()} />
    {:else if people.list.isSuccess && people.rows.length === 0}
      <p class="p-6 text-soft">
        Nobody matches. Take a condition out, or widen one, and people show here.
      </p>
    {:else}
      <ListTable
        rows={people.rows}
        {fields}
        layout={layout.current}
        selection={search.selection}
        cursor={search.cursor}
        first="Name"
        {beside}
        {allPicked}
        onpick={(row, range) => pick(search, people.rows, row, range)}
        onpickall={takeOrLetGo}
        oncursor={lookAt}
        onopen={(row) => void goto(`/people/${row.id}`)}
        onlayout={(l) => layout.set(l)}
        onend={() =>
          people.list.hasNextPage && !people.list.isFetching && people.list.fetchNextPage()}
      />
    {/if}
  </div>
  <aside
    class={`panel min-h-0 overflow-y-auto max-lg:order-first ${looking ? 'max-lg:max-h-[38dvh]' : 'max-lg:hidden'}`}
    aria-label="Person"
  >
    <button
      type="button"
      class="sticky top-0 z-10 w-full border-b border-line-soft bg-card px-4 py-1.5 text-left font-semibold text-kelp lg:hidden"
      onclick={() => (looking = false)}>Close</button
    >
    {#if shown !== null}
      <PersonPane id={shown} onwrite={write} />
    {:else}
      <p class="p-4 text-soft">Choose a person to see what passed between you.</p>
    {/if}
  </aside>
</div>
<PickBar
  picked={people.picked}
  canBeMailed={people.canBeMailed}
  matching={people.tally.data?.total ?? 0}
  ready={people.ready}
  onscreen={people.rows.length}
  who={people.who}
  {fields}
  layout={layout.current}
  archived={search.archived}
  ontakeall={() => (search.selection = takeHere())}
  ontakeready={() => (search.selection = takeAll('READY'))}
  ontakeshown={() => (search.selection = onlyThese(people.rows.map((r) => r.id)))}
  onletgo={() => (search.selection = nobody)}
  onwrite={() => write(null)}
  onlabels={labels}
  onletter={letter}
/>
<BeginDialog
  bind:open={writing}
  {onPaper}
  count={writeTo === null ? people.canBeMailed : 1}
  filter={writeTo === null && search.selection.all ? people.filter : null}
  picks={writeTo !== null ? [writeTo] : [...search.selection.picked]}
  leftOut={writeTo === null ? [...search.selection.dropped] : []}
/>
<NewPersonDialog bind:open={adding} {fields} />
