<script lang="ts">
  import { instead } from '$lib/api/instead';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { answer, api } from '$lib/api/client';
  import { summaryQuery } from '$lib/api/queries';
  import { daysAgo, weekday } from '$lib/format/dates';
  import { count, percent } from '$lib/format/numbers';
  import { keys } from '$lib/keys/keys.svelte';
  import JustNow from '$lib/response/JustNow.svelte';
  import { partOf, rateWords, responseParts, sizeOf, writeWords } from '$lib/response/parts';
  import ResultViews from '$lib/result/ResultViews.svelte';
  import { byOf, VIEWS, viewOf } from '$lib/response/results';
  import { soughtIn } from '$lib/response/sought';
  import WayRates from '$lib/response/WayRates.svelte';
  import StandingPanel from '$lib/response/StandingPanel.svelte';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Tally from '$lib/ui/Tally.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { onMount } from 'svelte';

  const mailingId = $derived(Number(page.params.id));
  const query = createQuery(() => summaryQuery(mailingId));
  const summary = $derived(query.data);
  const part = $derived(summary && partOf(page.url.searchParams.get('part'), summary));
  const view = $derived(viewOf(page.url.searchParams.get('view')));
  const by = $derived(byOf(page.url.searchParams.get('by')));
  const sought = $derived(soughtIn(page.url.searchParams));
  const size = $derived(part && summary ? sizeOf(part, summary) : 0);
  const offer = $derived(part && session.may('WRITE_TO_ONE') ? writeWords(part, size) : null);
  let busy = $state(false);

  function between(): string {
    if (!summary?.firstSent || !summary.lastSent) return 'Nothing has left yet.';
    const first = weekday(summary.firstSent, session.zone);
    const last = weekday(summary.lastSent, session.zone);
    const days = first === last ? `on ${first}` : `between ${first} and ${last}`;
    return `${count(summary.sent)} sent ${days} · ${daysAgo(summary.lastSent, session.zone)}`;
  }

  /** Goes to the same page with another question. */
  function ask(question: Record<string, string>) {
    const words = Object.entries(question)
      .map(([name, value]) => `${name}=${encodeURIComponent(value)}`)
      .join('&');
    void goto(`?${words}`, { replaceState: true, keepFocus: true, noScroll: true });
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

{#if instead(query)}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if summary && part}
  <PageHead title={summary.name} words={between()}>
    {#snippet actions()}
      <HouseButton onclick={() => goto(`/mailings/${mailingId}`)}>The mailing</HouseButton>
      {#if offer}
        <HouseButton weight="main" onclick={writeAgain} disabled={busy} shortcut="w"
          >{offer}</HouseButton
        >
      {/if}
    {/snippet}
  </PageHead>
  {#if summary.parts.length}
    <Tally
      label="Where the messages stand"
      parts={responseParts(summary)}
      chosen={part.key}
      onchoose={(key) => ask(key === part?.key ? {} : { part: key })}
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
    <WayRates {mailingId} onopen={(value) => ask({ by: 'WAY', value })} />
  {/if}
  <nav class="flex flex-wrap gap-x-5" aria-label="Sides of the responses">
    {#each VIEWS as side (side.key)}
      <button
        type="button"
        class={`min-h-[28px] border-b-2 ${side.key === view ? 'border-kelp font-semibold' : 'border-transparent text-soft hover:text-ink'}`}
        aria-current={side.key === view ? 'page' : undefined}
        onclick={() => ask({ view: side.key })}>{side.name}</button
      >
    {/each}
    <a
      class="ms-auto self-center font-semibold text-kelp hover:underline"
      href={`/api/responses/${mailingId}/export`}
      download>Download (CSV)</a
    >
  </nav>
  <div
    class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_316px] gap-3 max-xl:flex-none max-xl:grid-cols-1"
  >
    {#if view === 'people'}
      <StandingPanel {summary} {part} {sought} onall={() => ask({})} />
    {:else}
      <ResultViews {summary} {view} {by} onask={ask} />
    {/if}
    <JustNow {mailingId} />
  </div>
{/if}
