<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { colleaguesQuery } from '$lib/api/queries';
  import type { HistoryEntry } from '$lib/api/types';
  import { dayAndTime } from '$lib/format/dates';
  import KeptMonths from '$lib/history/KeptMonths.svelte';
  import { change, kinds, type HistoryKind } from '$lib/history/kinds';
  import { session } from '$lib/session/session.svelte';
  import DayField from '$lib/ui/DayField.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { steadyColumns } from '$lib/ui/steadyColumns';
  import VirtualRows from '$lib/ui/VirtualRows.svelte';
  import { whenSeen } from '$lib/ui/whenSeen';
  import { createInfiniteQuery, createQuery, keepPreviousData } from '@tanstack/svelte-query';

  let kind = $state<HistoryKind | ''>('');
  let by = $state<number | null>(null);
  let from = $state('');
  let until = $state('');
  const colleagues = createQuery(colleaguesQuery);
  const wanted = $derived({
    kind: kind || undefined,
    by: by ?? undefined,
    from: from || undefined,
    until: until || undefined
  });
  const list = createInfiniteQuery(() => ({
    queryKey: ['history', wanted],
    queryFn: ({ pageParam }) =>
      answer(
        api.GET('/api/history', {
          params: { query: { ...wanted, afterKey: pageParam?.key, afterAt: pageParam?.at } }
        })
      ),
    initialPageParam: undefined as HistoryEntry | undefined,
    getNextPageParam: (last: HistoryEntry[]) => (last.length === 100 ? last[99] : undefined),
    placeholderData: keepPreviousData,
    staleTime: 0
  }));
  const rows = $derived(list.data?.pages.flat() ?? []);
  const file = $derived(
    '/api/history/export?' +
      Object.entries(wanted)
        .filter(([, value]) => value !== undefined)
        .map(([name, value]) => `${name}=${encodeURIComponent(String(value))}`)
        .join('&')
  );

  const head =
    'sticky top-0 z-10 bg-card px-3 py-1.5 text-left text-[0.8rem] font-semibold text-soft';
  const cell = 'border-t border-line-soft px-3 py-1.5 align-top';
</script>

<PageHead title="History" words="Who did what in the house, when and from where.">
  {#snippet actions()}
    <a class="self-center font-semibold text-kelp hover:underline" href={file} download
      >Download (CSV)</a
    >
  {/snippet}
</PageHead>
<div class="flex flex-wrap items-center gap-3">
  <select
    class="rounded-lg border-line bg-card py-1 ps-2.5 pe-8"
    aria-label="What it is about"
    bind:value={kind}
  >
    <option value="">everything</option>
    {#each kinds as each (each.value)}<option value={each.value}>{each.name}</option>{/each}
  </select>
  <select
    class="rounded-lg border-line bg-card py-1 ps-2.5 pe-8"
    aria-label="By whom"
    bind:value={by}
  >
    <option value={null}>by anybody</option>
    {#each colleagues.data ?? [] as each (each.id)}
      <option value={each.id}>by {each.name}</option>
    {/each}
  </select>
  <div class="w-40">
    <DayField
      label="From the day"
      placeholder="from a day"
      value={from}
      lean="BACK"
      onchange={(day) => (from = day)}
    />
  </div>
  <div class="w-40">
    <DayField
      label="To the day"
      placeholder="to a day"
      value={until}
      lean="BACK"
      onchange={(day) => (until = day)}
    />
  </div>
</div>
{#if list.error}
  <Trouble error={list.error} onretry={() => list.refetch()} />
{:else}
  <Panel title="What was done" scrolls>
    <table {@attach steadyColumns(() => rows.length > 0)} class="w-full">
      <thead>
        <tr>
          <th scope="col" class={head}>When</th>
          <th scope="col" class={head}>Who</th>
          <th scope="col" class={head}>What</th>
          <th scope="col" class={`${head} max-md:hidden`}>What is different</th>
          <th scope="col" class={`${head} max-md:hidden`}>From where</th>
        </tr>
      </thead>
      <tbody>
        <VirtualRows {rows} key={(row) => row.key} height={36} as="tr">
          {#snippet row(row, measured)}
            <tr {@attach measured} class="hover:bg-kelp-pale">
              <td class={`${cell} whitespace-nowrap`}>{dayAndTime(row.at, session.zone)}</td>
              <td class={`${cell} max-w-52 break-words`}>{row.who || 'the house'}</td>
              <td class={cell}>
                {row.words}{#if row.about}: <span class="font-semibold break-words"
                    >{row.about}</span
                  >{/if}
                <span class="block text-[0.87rem] break-words text-soft md:hidden"
                  >{change(row)}</span
                >
              </td>
              <td class={`${cell} max-w-[26rem] break-words text-soft max-md:hidden`}>
                {change(row)}
              </td>
              <td class={`${cell} whitespace-nowrap text-soft max-md:hidden`}>{row.address}</td>
            </tr>
          {/snippet}
        </VirtualRows>
        {#if rows.length === 0 && list.isSuccess}
          <tr><td class={`${cell} text-soft`} colspan="5">Nothing of that kind was done.</td></tr>
        {/if}
      </tbody>
    </table>
    <div
      {@attach whenSeen(() => list.hasNextPage && !list.isFetching && list.fetchNextPage())}
      class="h-px"
    ></div>
  </Panel>
{/if}
<KeptMonths onchanged={() => list.refetch()} />
