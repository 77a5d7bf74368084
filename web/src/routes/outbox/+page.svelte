<script lang="ts">
  import { UNTOLD } from '$lib/live/live';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { answer, api } from '$lib/api/client';
  import { outboxTallyQuery } from '$lib/api/queries';
  import type { Letters, OutboxMessage } from '$lib/api/types';
  import { isBeingPrinted } from '$lib/outbox/printed';
  import { count } from '$lib/format/numbers';
  import LettersToPost from '$lib/outbox/LettersToPost.svelte';
  import OutboxTable from '$lib/outbox/OutboxTable.svelte';
  import ServerTrouble from '$lib/outbox/ServerTrouble.svelte';
  import { states, type Act } from '$lib/outbox/states';
  import { notices } from '$lib/ui/notices.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Tally, { type TallyPart } from '$lib/ui/Tally.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import {
    createInfiniteQuery,
    createQuery,
    keepPreviousData,
    useQueryClient
  } from '@tanstack/svelte-query';

  const queries = useQueryClient();
  const mailingId = $derived(Number(page.url.searchParams.get('mailing')) || undefined);
  const state = $derived(page.url.searchParams.get('state') ?? undefined);
  const who = $derived(page.url.searchParams.get('who') ?? undefined);

  const tally = createQuery(() => outboxTallyQuery(mailingId));
  const list = createInfiniteQuery(() => ({
    queryKey: ['outbox', mailingId, state, who],
    queryFn: ({ pageParam }) =>
      answer(
        api.GET('/api/outbox', {
          params: {
            query: { mailingId, state, who, afterDue: pageParam?.dueAt, afterId: pageParam?.id }
          }
        })
      ),
    initialPageParam: undefined as OutboxMessage | undefined,
    getNextPageParam: (last: OutboxMessage[]) => (last.length === 100 ? last[99] : undefined),
    placeholderData: keepPreviousData,
    refetchInterval: UNTOLD
  }));

  const onPaper = createQuery(() => ({
    queryKey: ['letters'],
    queryFn: () => answer(api.GET('/api/letters')),
    refetchInterval: (query: { state: { data?: Letters[] } }) =>
      query.state.data?.some(isBeingPrinted) ? 1000 : UNTOLD
  }));
  const letters = $derived(
    (onPaper.data ?? []).filter((l) => !mailingId || l.mailingId === mailingId)
  );

  const rows = $derived(list.data?.pages.flat() ?? []);
  const parts = $derived(
    Object.entries(states).flatMap(([key, look]): TallyPart[] => {
      const found = tally.data?.parts.find((p) => p.state === key);
      return found ? [{ key, count: found.messages, words: look.words, tone: look.tone }] : [];
    })
  );
  const toDepart = $derived(
    parts
      .filter((p) => ['waiting', 'sending', 'deferred'].includes(p.key))
      .reduce((sum, p) => sum + p.count, 0)
  );
  const about = $derived(mailingId ? rows.find((r) => r.mailingId === mailingId)?.mailing : '');

  function show(wanted: { mailing?: number; state?: string; who?: string }) {
    const query = Object.entries(wanted)
      .filter(([, value]) => value)
      .map(([key, value]) => `${key}=${encodeURIComponent(value)}`)
      .join('&');
    void goto(query ? `/outbox?${query}` : '/outbox', { replaceState: true, keepFocus: true });
  }

  async function act(message: OutboxMessage, wanted: Act) {
    const params = { path: { id: message.id } };
    try {
      if (wanted === 'withdraw') {
        await answer(api.POST('/api/outbox/{id}/withdraw', { params }));
        notices.say(`${message.name}’s message is withdrawn.`, () => act(message, 'try-again'));
      } else if (wanted === 'try-again') {
        await answer(api.POST('/api/outbox/{id}/try-again', { params }));
        notices.say(`${message.name}’s message leaves now.`);
      } else {
        const body = { arrived: wanted === 'arrived' };
        await answer(api.POST('/api/outbox/{id}/settle', { params, body }));
        notices.say(body.arrived ? 'Settled: it arrived.' : 'It will be sent once more.');
      }
    } catch (error) {
      notices.fail(error);
    }
    await askAnew();
  }

  async function askAnew() {
    for (const key of ['outbox', 'outbox-tally', 'letters']) {
      await queries.invalidateQueries({ queryKey: [key] });
    }
  }
</script>

<PageHead
  title="Outbox"
  words={!tally.isSuccess
    ? ''
    : toDepart
      ? `${count(toDepart)} to leave.`
      : letters.length
        ? 'Nothing leaves by itself.'
        : 'Nothing waits to leave.'}
>
  {#snippet actions()}
    <input
      type="search"
      class="w-56 rounded-lg border-line bg-card px-3 py-1.5 placeholder:text-soft"
      placeholder="Name or address"
      aria-label="Messages to a name or address"
      value={who ?? ''}
      oninput={(e) => show({ mailing: mailingId, state, who: e.currentTarget.value })}
    />
    <a class="self-center font-semibold text-kelp hover:underline" href="/paper">On paper</a>
    {#if mailingId}
      <a class="font-semibold text-kelp hover:underline" href="/outbox">Show all mailings</a>
    {/if}
  {/snippet}
</PageHead>
{#if mailingId}
  <p class="-mt-2 text-soft">Only “{about || `mailing ${mailingId}`}”.</p>
{/if}
{#if tally.data?.trouble}
  <ServerTrouble trouble={tally.data.trouble} />
{/if}
{#if parts.length}
  <Tally
    label="Messages that have not left"
    {parts}
    chosen={state ?? null}
    onchoose={(key) =>
      show({ mailing: mailingId, who, state: key && key !== state ? key : undefined })}
  />
{/if}
{#each letters as each (each.mailingId)}
  <LettersToPost letters={each} onchanged={askAnew} />
{/each}
<!-- What scrolls must be reachable by key. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="panel min-h-40 flex-1 overflow-auto" tabindex="0" role="region" aria-label="Messages">
  {#if list.error}
    <Trouble error={list.error} onretry={() => list.refetch()} />
  {:else if list.isSuccess && rows.length === 0}
    <div class="p-6">
      <p>{who ? `Nobody of that name or address has a message here.` : 'Nothing here.'}</p>
      <p class="text-soft">
        What is released waits here until it leaves; what has left shows with each person.
      </p>
    </div>
  {:else}
    <OutboxTable
      {rows}
      onact={act}
      onend={() => list.hasNextPage && !list.isFetching && list.fetchNextPage()}
    />
  {/if}
</div>
