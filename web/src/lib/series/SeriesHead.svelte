<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { SeriesPerson, SeriesView } from '$lib/api/types';
  import { lately } from '$lib/format/dates';
  import { count } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import type { SeriesActs } from './acts.svelte';
  import LookAhead from './LookAhead.svelte';
  import { STATES, type WhichPeople } from './series';

  interface Props {
    series: SeriesView;
    acts: SeriesActs;
    onletin: () => void;
    onpeople: (which: WhichPeople) => void;
  }

  let { series, acts, onletin, onpeople }: Props = $props();
  let goingOn = $state(false);
  let ending = $state(false);
  let looking = $state(false);

  const params = $derived({ path: { id: series.id } });
  const done = (act: Promise<SeriesView>, words: string) => acts.done(act, words);
  const stand = $derived(
    series.state === 'DRAFT' ? 'A draft: nothing leaves yet.' : STATES[series.state]
  );
  const numbers = $derived<[number, string, SeriesPerson['state']][]>([
    [series.in, 'in it', 'IN'],
    [series.finished, 'had all', 'FINISHED'],
    [series.ended, 'out before', 'ENDED']
  ]);

  const activate = () =>
    done(answer(api.POST('/api/series/{id}/activate', { params })), 'The series is active.');

  async function goOn(waitsStoodStill: boolean) {
    if (await acts.goOn(waitsStoodStill)) goingOn = false;
  }

  async function end() {
    const act = api.POST('/api/series/{id}/end', { params });
    if (await done(answer(act), 'The series is ended; nothing of it leaves any more.'))
      ending = false;
  }
</script>

<PageHead title={series.name} words={stand}>
  {#snippet actions()}
    {#if session.may('SERIES')}
      {#if series.state === 'ACTIVE' || series.state === 'PAUSED'}
        <HouseButton weight="grave" onclick={() => (ending = true)}>End it</HouseButton>
      {/if}
      {#if series.state === 'ACTIVE'}
        <HouseButton onclick={() => void acts.pause()}>Pause</HouseButton>
      {:else if series.state === 'PAUSED'}
        <HouseButton onclick={() => (goingOn = true)}>Let it go on</HouseButton>
      {/if}
      {#if series.state !== 'ENDED'}
        {#if series.in > 0}
          <HouseButton onclick={() => (looking = true)}>Look ahead</HouseButton>
        {/if}
        <HouseButton onclick={onletin}>Let people in</HouseButton>
      {/if}
      {#if series.state === 'DRAFT'}
        <HouseButton
          weight="main"
          disabled={series.blockers.length > 0}
          onclick={() => void activate()}>Activate</HouseButton
        >
      {/if}
    {/if}
  {/snippet}
</PageHead>
{#if series.in + series.finished + series.ended > 0}
  <p class="-mt-1.5 flex flex-none flex-wrap gap-x-4 text-[0.93rem]">
    {#each numbers as [n, words, state] (state)}
      <button
        type="button"
        class="min-h-[26px] text-kelp hover:underline max-md:min-h-[44px]"
        onclick={() => onpeople({ state })}>{count(n)} {words}</button
      >
    {/each}
    {#if series.countedAt}
      <span class="text-soft">as counted {lately(series.countedAt, session.zone)}</span>
    {/if}
  </p>
{/if}
{#if series.pausedAt}
  <p class="rounded-lg bg-ochre-pale px-3.5 py-2" role="status">
    Nothing has left since {lately(series.pausedAt, session.zone)}.
  </p>
{/if}

<Ask bind:open={goingOn} title="Let the series go on?">
  <p>
    People waited while it was paused. If that time counts, whatever came due meanwhile leaves now;
    if it does not, everybody waits as long as was left then.
  </p>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (goingOn = false)}>Not now</HouseButton>
    <HouseButton onclick={() => void goOn(false)}>The pause counts as waited</HouseButton>
    <HouseButton weight="main" first onclick={() => void goOn(true)}>Waits stood still</HouseButton>
  {/snippet}
</Ask>
<Ask bind:open={ending} title="End the series for everybody?">
  <p>
    What has not left will not, and {series.in === 1
      ? '1 person is'
      : `${count(series.in)} people are`}
    out. It cannot be begun again; copy its texts into another one for that.
  </p>
  {#snippet actions()}
    <HouseButton weight="grave" onclick={() => void end()}>End it</HouseButton>
    <HouseButton weight="main" first onclick={() => (ending = false)}>Keep it</HouseButton>
  {/snippet}
</Ask>
{#if looking}<LookAhead bind:open={looking} series={series.id} />{/if}
