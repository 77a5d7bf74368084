<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { DoNotWriteEntry } from '$lib/api/types';
  import { dayAndYear } from '$lib/format/dates';
  import { count } from '$lib/format/numbers';
  import AddAddressDialog from '$lib/settings/AddAddressDialog.svelte';
  import BringInAddresses from '$lib/settings/BringInAddresses.svelte';
  import LiftDialog from '$lib/settings/LiftDialog.svelte';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import Tally from '$lib/ui/Tally.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { steadyColumns } from '$lib/ui/steadyColumns';
  import VirtualRows from '$lib/ui/VirtualRows.svelte';
  import { whenSeen } from '$lib/ui/whenSeen';
  import { createInfiniteQuery, createQuery, keepPreviousData } from '@tanstack/svelte-query';

  let find = $state('');
  let reason = $state<string | null>(null);
  let adding = $state(false);
  let lifting = $state.raw<DoNotWriteEntry | null>(null);

  const summary = createQuery(() => ({
    queryKey: ['do-not-write', 'summary'],
    queryFn: () => answer(api.GET('/api/do-not-write/summary'))
  }));
  const list = createInfiniteQuery(() => ({
    queryKey: ['do-not-write', find, reason],
    queryFn: ({ pageParam }) =>
      answer(
        api.GET('/api/do-not-write', {
          params: {
            query: {
              find,
              reason: reason ?? undefined,
              since: pageParam?.since,
              address: pageParam?.address
            }
          }
        })
      ),
    initialPageParam: undefined as DoNotWriteEntry | undefined,
    getNextPageParam: (last: DoNotWriteEntry[]) => (last.length === 100 ? last[99] : undefined),
    placeholderData: keepPreviousData
  }));
  const rows = $derived(list.data?.pages.flat() ?? []);
  const counts = $derived(summary.data?.counts ?? []);
  const mayWrite = $derived(session.may('CHANGE_PEOPLE'));
  const mayLift = $derived(session.may('SETTINGS'));

  const head =
    'sticky top-0 z-10 bg-card px-3 py-1.5 text-left text-[0.8rem] font-semibold text-soft';
  const cell = 'border-t border-line-soft px-3 py-1.5';
</script>

<svelte:head><title>Do not write · Jemble</title></svelte:head>
<PageHead
  title="Do-not-write list"
  words="These addresses and numbers get nothing from us, whoever picks them and however."
>
  {#snippet actions()}
    <a
      class="self-center font-semibold text-kelp hover:underline"
      href="/api/do-not-write/export"
      download>Download (CSV)</a
    >
    {#if mayWrite}
      <BringInAddresses />
      <HouseButton weight="main" onclick={() => (adding = true)}>Add an address</HouseButton>
    {/if}
  {/snippet}
</PageHead>
{#if counts.length}
  <Tally
    label="Why they are on it"
    parts={counts.map((c) => ({
      key: c.reason,
      count: c.addresses,
      words: c.reason,
      tone: 'open'
    }))}
    chosen={reason ?? ''}
    onchoose={(key) => (reason = key === reason ? null : key)}
  />
{/if}
{#if list.error}
  <Trouble error={list.error} onretry={() => list.refetch()} />
{:else}
  <Panel title="Addresses" scrolls>
    {#snippet aside()}
      <input
        type="search"
        class="w-56 rounded-lg border-line bg-card px-3 py-1 placeholder:text-soft"
        placeholder="Find an address"
        aria-label="Find an address"
        bind:value={find}
      />
    {/snippet}
    <table {@attach steadyColumns(() => rows.length > 0)} class="w-full">
      <thead>
        <tr>
          <th scope="col" class={head}>Address</th>
          <th scope="col" class={head}>Why</th>
          <th scope="col" class={head}>Since</th>
          <th scope="col" class={`${head} max-md:hidden`}>From</th>
          <th scope="col" class={`${head} max-md:hidden`}>Note</th>
          <th scope="col" class={head}><span class="sr-only">What can be done</span></th>
        </tr>
      </thead>
      <tbody>
        <VirtualRows {rows} key={(row) => row.address} height={36} as="tr">
          {#snippet row(row, measured)}
            <tr {@attach measured} class="hover:bg-kelp-pale">
              <td class={cell}>
                {#if row.personId}
                  <a
                    class="block font-semibold text-kelp hover:underline"
                    href={`/people/${row.personId}`}>{row.person}</a
                  >
                {/if}
                {row.address}
              </td>
              <td class={cell}>{row.reason}</td>
              <td class={`${cell} whitespace-nowrap`}>{dayAndYear(row.since, session.zone)}</td>
              <td class={`${cell} max-md:hidden`}>{row.source}</td>
              <td class={`${cell} max-w-80 truncate text-soft max-md:hidden`} title={row.note}>
                {row.note}
              </td>
              <td class={`${cell} text-right`}>
                {#if row.liftable && mayLift}
                  <button
                    type="button"
                    class="font-semibold text-kelp hover:underline"
                    onclick={() => (lifting = row)}>Lift…</button
                  >
                {:else if row.liftable}
                  <span class="text-[0.87rem] text-soft">an administrator can lift it</span>
                {/if}
              </td>
            </tr>
          {/snippet}
        </VirtualRows>
        {#if rows.length === 0 && list.isSuccess}
          <tr><td class={`${cell} text-soft`} colspan="6">No such address is on the list.</td></tr>
        {/if}
      </tbody>
    </table>
    <div
      {@attach whenSeen(() => list.hasNextPage && !list.isFetching && list.fetchNextPage())}
      class="h-px"
    ></div>
  </Panel>
{/if}
{#if summary.data?.lifted.length}
  <details class="flex-none text-[0.93rem]">
    <summary class="cursor-pointer font-semibold text-kelp">
      {count(summary.data.lifted.length)} lifted of late
    </summary>
    <ul class="mt-1">
      {#each summary.data.lifted as one (one.address + one.at)}
        <li>
          {one.address}, {one.reason}: {one.by}, {dayAndYear(one.at, session.zone)}, “{one.note}”
        </li>
      {/each}
    </ul>
  </details>
{/if}
<AddAddressDialog bind:open={adding} />
{#if lifting}
  <LiftDialog
    bind:open={() => lifting !== null, (is) => (lifting = is ? lifting : null)}
    entry={lifting}
  />
{/if}
