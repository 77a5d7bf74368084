<script lang="ts">
  import type { Proof, SeriesView, SeriesWay, SeriesWayStep } from '$lib/api/types';
  import { isoDay } from '$lib/format/dates';
  import { now } from '$lib/format/now';
  import { session } from '$lib/session/session.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import DayField from '$lib/ui/DayField.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { sharedOn } from '$lib/ways/ways';
  import type { SeriesActs } from './acts.svelte';
  import { EntryActs } from './entryActs';
  import OwnStep from './OwnStep.svelte';
  import { nextStep } from './way';

  interface Props {
    series: SeriesView;
    acts: SeriesActs;
    mayChange: boolean;
    way: SeriesWay;
    read: SeriesWayStep;
    proof: Proof | undefined;
    oncopies: (causes: number[]) => void;
  }

  let { series, acts, mayChange, way, read, proof, oncopies }: Props = $props();
  // svelte-ignore state_referenced_locally
  const entry = new EntryActs(acts);
  let holding = $state(false);
  let rewording = $state(false);
  let until = $state('');

  const first = $derived(way.name.split(' ')[0] ?? way.name);
  const isIn = $derived(way.entry?.state === 'IN');
  const heldUntil = $derived(
    way.entry?.heldUntil ? isoDay(way.entry.heldUntil, session.zone) : null
  );
  const ahead = $derived(read.stands === 'AHEAD');
  const isNext = $derived(nextStep(way)?.stepId === read.stepId);
  const act = 'min-h-[26px] font-semibold text-kelp hover:underline max-md:min-h-[44px]';

  async function hold(day: string | null) {
    const words = day ? `Nothing leaves to ${way.name} before then.` : `${way.name} goes on.`;
    if (await entry.hold(way.personId, day, words, heldUntil)) holding = false;
  }
</script>

{#if mayChange}
  <p class="mt-2 flex flex-wrap gap-x-4 text-[0.9rem]">
    {#if proof && !way.cannot}
      <button type="button" class={act} onclick={() => oncopies([read.causeId])}
        >Copy of it to me</button
      >
      {#if way.steps.length > 1}
        <button
          type="button"
          class={act}
          onclick={() => oncopies(way.steps.map((step) => step.causeId))}
          >Copies of all {way.steps.length}</button
        >
      {/if}
      {#if ahead}
        <button type="button" class={act} onclick={() => (rewording = true)}
          >{proof.ownWords ? `Own wording for ${first} only` : `Word it for ${first} only`}</button
        >
      {/if}
    {/if}
    {#if isIn && ahead && isNext && series.state === 'ACTIVE'}
      <button
        type="button"
        class={act}
        onclick={() =>
          void entry.sendNow(
            way.personId,
            read.stepId,
            `Step ${read.place} leaves to ${way.name}.`
          )}>Send it now</button
      >
    {/if}
    {#if isIn && ahead}
      <button
        type="button"
        class={act}
        onclick={() => void entry.skip(way.personId, read.stepId, way.name, read.place)}
        >Leave it out for {first}</button
      >
    {/if}
    {#if isIn && read.stands === 'SKIPPED'}
      <button
        type="button"
        class={act}
        onclick={() => void entry.skipNot(way.personId, read.stepId, way.name, read.place)}
        >Give it to {first} after all</button
      >
    {/if}
    {#if isIn}
      {#if way.entry?.heldUntil && new Date(way.entry.heldUntil) > now()}
        <button type="button" class={act} onclick={() => void hold(null)}>No longer wait</button>
      {:else}
        <button type="button" class={act} onclick={() => (holding = true)}>Wait until a day</button>
      {/if}
      <button
        type="button"
        class={`${act} text-brick`}
        onclick={() => void entry.takeOut(way.personId, way.name)}>Take {first} out</button
      >
    {/if}
  </p>
{/if}

<Ask bind:open={holding} title={`Nothing to ${way.name} before a day`}>
  <DayField label="Day" value={until} first onchange={(day) => (until = day)} />
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (holding = false)}>Not now</HouseButton>
    <HouseButton weight="main" disabled={!until} onclick={() => void hold(until)}
      >Wait until then</HouseButton
    >
  {/snippet}
</Ask>
{#if rewording && proof}
  {@const step = series.steps.find((s) => s.id === read.stepId)}
  <OwnStep
    bind:open={rewording}
    cause={read.causeId}
    person={{ id: way.personId, name: way.name }}
    channel={proof.channel}
    shared={sharedOn(
      proof.channel,
      { subject: step?.subject ?? '', body: step?.body ?? '' },
      step?.ways
    )}
    onsaved={() => void acts.anew(`${way.name} gets step ${read.place} in these words.`)}
  />
{/if}
