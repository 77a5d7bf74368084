<script lang="ts">
  import { instead } from '$lib/api/instead';
  import { UNTOLD } from '$lib/live/live';
  import { page } from '$app/state';
  import { answer, api } from '$lib/api/client';
  import { dayAndYear } from '$lib/format/dates';
  import { keys } from '$lib/keys/keys.svelte';
  import { onlyThese, toBody } from '$lib/list/selection';
  import BeginDialog from '$lib/mailing/BeginDialog.svelte';
  import { act } from '$lib/people/bulk/doing';
  import IntoSeriesDialog from '$lib/series/IntoSeriesDialog.svelte';
  import TaskDialog from '$lib/people/bulk/TaskDialog.svelte';
  import AroundPerson from '$lib/people/AroundPerson.svelte';
  import BetweenUs from '$lib/people/BetweenUs.svelte';
  import FieldGroups from '$lib/people/FieldGroups.svelte';
  import HeldPanel from '$lib/privacy/HeldPanel.svelte';
  import History from '$lib/people/History.svelte';
  import MergeDialog from '$lib/people/MergeDialog.svelte';
  import PersonPicture from '$lib/people/PersonPicture.svelte';
  import { personQuery } from '$lib/people/person';
  import ReachLine from '$lib/people/ReachLine.svelte';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createInfiniteQuery, createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { onMount } from 'svelte';

  /** So many happenings the server gives at once, and more where one instant holds more. */
  const PAGE = 60;
  const id = $derived(Number(page.params.id));
  const queries = useQueryClient();
  const query = createQuery(() => ({ ...personQuery(id), refetchInterval: UNTOLD }));
  const between = createInfiniteQuery(() => ({
    queryKey: ['between-all', id],
    queryFn: ({ pageParam }) =>
      answer(
        api.GET('/api/people/{id}/between', {
          params: { path: { id }, query: { before: pageParam ?? undefined } }
        })
      ),
    initialPageParam: null as string | null,
    getNextPageParam: (last) => (last.length >= PAGE ? (last.at(-1)?.at ?? null) : null),
    refetchInterval: UNTOLD
  }));
  const person = $derived(query.data);
  const mayChange = $derived(session.may('CHANGE_PEOPLE') && !person?.archivedAt);
  const ready = $derived(person?.reach.some((r) => r.channel === 'EMAIL' && r.reach === 'READY'));
  const none = { match: 'ALL' as const, conditions: [], related: [], groups: [] };
  const who = $derived(toBody(onlyThese([id]), none));
  let writing = $state(false);
  let tasking = $state(false);
  let entering = $state(false);
  let merging = $state<number | null>(null);

  onMount(() => keys.use({ w: () => (writing = Boolean(ready && mayChange)) }));
</script>

{#if instead(query)}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if person}
  <PageHead title={person.name} words={person.kind}>
    {#snippet actions()}
      {#if mayChange}
        {#if ready}<HouseButton weight="main" shortcut="w" onclick={() => (writing = true)}
            >Write</HouseButton
          >{/if}
        <HouseButton onclick={() => (tasking = true)}>Task</HouseButton>
        <HouseButton onclick={() => (entering = true)}>Series</HouseButton>
        <HouseButton onclick={() => void act(queries, who, { kind: 'ARCHIVE' })}
          >Archive</HouseButton
        >
      {/if}
    {/snippet}
  </PageHead>
  {#if person.archivedAt}
    <p class="panel flex items-center gap-3 bg-ochre-pale px-3.5 py-2">
      Archived on {dayAndYear(person.archivedAt, session.zone)}.
      {#if person.mergedInto}
        Now part of <a class="font-semibold underline" href={`/people/${person.mergedInto.id}`}
          >{person.mergedInto.name}</a
        >.
      {:else if session.may('CHANGE_PEOPLE')}
        <HouseButton
          weight="quiet"
          onclick={() => void act(queries, { ...who, archived: true }, { kind: 'RESTORE' })}
          >Take back</HouseButton
        >
      {/if}
    </p>
  {/if}
  {#each mayChange ? person.likely : [] as likely (likely.id)}
    <p class="panel flex flex-wrap items-center gap-3 bg-ochre-pale px-3.5 py-2">
      <span>
        <a class="font-semibold underline" href={`/people/${likely.id}`}>{likely.name}</a> may be
        the same person: {likely.why}.
      </span>
      <HouseButton weight="quiet" onclick={() => (merging = likely.id)}
        >Compare and merge</HouseButton
      >
    </p>
  {/each}
  <ReachLine reach={person.reach} introducedBy={person.introducedBy} />
  <div class="grid grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)] gap-3.5 max-lg:grid-cols-1">
    <div class="flex flex-col gap-3.5">
      <PersonPicture {person} {mayChange} />
      <FieldGroups {person} {mayChange} />
    </div>
    <div class="flex flex-col gap-3.5">
      <Panel title="Between us">
        <div class="px-3.5 py-3">
          <BetweenUs happenings={between.data?.pages.flat() ?? []} />
          {#if between.hasNextPage}
            <HouseButton weight="quiet" onclick={() => between.fetchNextPage()}
              >What came before</HouseButton
            >
          {/if}
        </div>
      </Panel>
      <AroundPerson {person} {mayChange} ontask={() => (tasking = true)} />
      <History {person} />
      <HeldPanel personId={id} />
    </div>
  </div>
  <BeginDialog bind:open={writing} count={1} filter={null} picks={[id]} leftOut={[]} />
  <TaskDialog bind:open={tasking} {who} count={1} />
  <IntoSeriesDialog bind:open={entering} {who} count={1} />
  {#if merging !== null}
    <MergeDialog
      bind:open={() => merging !== null, (open) => !open && (merging = null)}
      {person}
      other={merging}
    />
  {/if}
{:else}
  <p class="text-soft">Looking…</p>
{/if}
