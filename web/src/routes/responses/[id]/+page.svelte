<script lang="ts">
  import { UNTOLD } from '$lib/live/live';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { answer, api } from '$lib/api/client';
  import { summaryQuery } from '$lib/api/queries';
  import type { MessageStanding } from '$lib/api/types';
  import { daysAgo, weekday } from '$lib/format/dates';
  import { count, percent } from '$lib/format/numbers';
  import { keys } from '$lib/keys/keys.svelte';
  import JustNow from '$lib/response/JustNow.svelte';
  import { partOf, rateWords, responseParts, sizeOf, writeWords } from '$lib/response/parts';
  import StandingTable from '$lib/response/StandingTable.svelte';
  import { session } from '$lib/session/session.svelte';
  import Act from '$lib/ui/Act.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import Tally from '$lib/ui/Tally.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createInfiniteQuery, createQuery, keepPreviousData } from '@tanstack/svelte-query';
  import { onMount } from 'svelte';

  const mailingId = $derived(Number(page.params.id));
  const query = createQuery(() => summaryQuery(mailingId));
  const summary = $derived(query.data);
  const part = $derived(summary && partOf(page.url.searchParams.get('part'), summary));
  const list = createInfiniteQuery(() => ({
    queryKey: ['standing', mailingId, part?.key],
    queryFn: ({ pageParam }) =>
      answer(
        api.GET('/api/responses/{mailingId}/messages', {
          params: {
            path: { mailingId },
            query: {
              standings: part?.standings ?? [],
              afterKey: pageParam?.nameKey,
              afterId: pageParam?.id
            }
          }
        })
      ),
    initialPageParam: undefined as MessageStanding | undefined,
    getNextPageParam: (last: MessageStanding[]) => (last.length === 100 ? last[99] : undefined),
    placeholderData: keepPreviousData,
    enabled: part !== undefined,
    refetchInterval: UNTOLD
  }));
  const size = $derived(part && summary ? sizeOf(part, summary) : 0);
  const offer = $derived(part && session.colleague?.mayWrite ? writeWords(part, size) : null);
  let busy = $state(false);

  function between(): string {
    if (!summary?.firstSent || !summary.lastSent) return 'Nothing has left yet.';
    const first = weekday(summary.firstSent, session.zone);
    const last = weekday(summary.lastSent, session.zone);
    const days = first === last ? `on ${first}` : `between ${first} and ${last}`;
    return `${count(summary.sent)} sent ${days} · ${daysAgo(summary.lastSent, session.zone)}`;
  }

  async function writeAgain() {
    if (!part || !offer) return;
    busy = true;
    try {
      const begun = await answer(
        api.POST('/api/responses/{mailingId}/follow-up', {
          params: { path: { mailingId } },
          body: { standings: part.standings }
        })
      );
      await goto(`/mailings/${begun.id}`);
    } catch (error) {
      notices.fail(error);
    } finally {
      busy = false;
    }
  }

  onMount(() => keys.use({ w: () => void writeAgain() }));
</script>

{#if query.error}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if summary && part}
  <PageHead title={summary.name} words={between()}>
    {#snippet actions()}
      <Act onclick={() => goto(`/mailings/${mailingId}`)}>The mailing</Act>
      {#if offer}
        <Act look="main" onclick={writeAgain} disabled={busy} shortcut="w">{offer}</Act>
      {/if}
    {/snippet}
  </PageHead>
  {#if summary.parts.length}
    <Tally
      label="Where the messages stand"
      parts={responseParts(summary)}
      chosen={part.key}
      onchoose={(key) =>
        goto(key === part?.key ? '?' : `?part=${key}`, { replaceState: true, keepFocus: true })}
    />
    {#if summary.rates.length}
      <p class="-mt-1 text-[0.93rem] text-soft">
        Of {count(summary.delivered)} delivered, {#each summary.rates as rate, i (rate.what)}{i
            ? ' and '
            : ''}{rate.what}
          <strong class="text-ink">{percent(rate.share)}</strong>
          {rateWords(rate, i === 0)}{/each}. Opens are a lower bound: some readers block the mark.
      </p>
    {/if}
  {/if}
  <div
    class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_316px] gap-3 max-lg:flex-none max-lg:grid-cols-1"
  >
    <Panel title={`${part.title}: ${count(size)} ${size === 1 ? 'person' : 'people'}`} scrolls>
      {#snippet aside()}{part.words}{/snippet}
      {#if list.error}
        <Trouble error={list.error} onretry={() => list.refetch()} />
      {:else}
        <StandingTable
          rows={list.data?.pages.flat() ?? []}
          onend={() => list.hasNextPage && !list.isFetching && list.fetchNextPage()}
        />
      {/if}
    </Panel>
    <JustNow {mailingId} />
  </div>
{/if}
