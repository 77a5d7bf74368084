<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { SeriesStepBody, SeriesView } from '$lib/api/types';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { useQueryClient } from '@tanstack/svelte-query';
  import { SeriesActs } from './acts.svelte';
  import Blockers from './Blockers.svelte';
  import LetInDialog from './LetInDialog.svelte';
  import OneGetsIt from './OneGetsIt.svelte';
  import {
    blankStep,
    bodyOfStep,
    gapBefore,
    mayGoUp,
    touchedWords,
    type WhichPeople
  } from './series';
  import SeriesChoices from './SeriesChoices.svelte';
  import SeriesHead from './SeriesHead.svelte';
  import SeriesPeople from './SeriesPeople.svelte';
  import StepCard from './StepCard.svelte';
  import StepDialog from './StepDialog.svelte';

  interface Props {
    series: SeriesView;
  }

  let { series }: Props = $props();

  /** The step that is written: one that is there, or one put in before another or at the end. */
  type Written = { step: SeriesStepBody; id: number | null; before: number | null; at: number };
  type Side = 'one' | 'people' | 'rules';

  const acts = new SeriesActs(useQueryClient(), () => series);
  let written = $state.raw<Written | null>(null);
  let letting = $state(false);
  let side = $state<Side>('one');
  let step = $state<number | null>(null);
  let person = $state<number | null>(null);
  let which = $state.raw<WhichPeople>({});

  const mayChange = $derived(session.may('SERIES') && series.state !== 'ENDED');
  const most = $derived(Math.max(0, ...series.steps.map((s) => s.sent)));
  const SIDES: { key: Side; name: string }[] = [
    { key: 'one', name: 'As one gets it' },
    { key: 'people', name: 'People' },
    { key: 'rules', name: 'How it runs' }
  ];

  async function begin(before: number | null, at: number) {
    try {
      const { body } = await answer(api.GET('/api/templates/blank'));
      written = { step: blankStep(at === 0, body), id: null, before, at };
    } catch (error) {
      notices.fail(error);
    }
  }

  function save(body: SeriesStepBody, finishedToo: boolean): Promise<boolean> {
    return written?.id
      ? acts.saveStep(written.id, body)
      : acts.addStep(body, written?.before ?? null, finishedToo);
  }

  function listed(wanted: WhichPeople) {
    which = wanted;
    side = 'people';
  }

  function read(id: number) {
    step = id;
    side = 'one';
  }
</script>

<SeriesHead {series} {acts} onletin={() => (letting = true)} onpeople={listed} />
{#if series.state === 'DRAFT' && series.blockers.length}
  <Blockers {series} {mayChange} />
{/if}
<div
  class="grid min-h-96 flex-1 grid-cols-[minmax(0,1fr)_minmax(0,27rem)] grid-rows-[minmax(0,1fr)] gap-3 max-lg:grid-cols-1 max-lg:grid-rows-none"
>
  <section aria-label="Steps" class="min-w-0 overflow-y-auto max-lg:overflow-visible">
    {#each series.steps as one, at (one.id)}
      <div
        class="ml-[calc(4.625rem-1px)] border-l-2 border-line"
        style={`height: ${gapBefore(series.steps, at)}px`}
        aria-hidden="true"
      ></div>
      <StepCard
        step={one}
        chosen={one.id === (step ?? series.steps[0]?.id)}
        {most}
        {mayChange}
        mayGoUp={mayGoUp(series.steps, at)}
        onchoose={() => read(one.id)}
        onchange={() => (written = { step: bodyOfStep(one), id: one.id, before: null, at })}
        oninsert={() => void begin(one.id, at)}
        onup={() => void acts.moveUp(at)}
        ontakeaway={() => void acts.takeAway(one.id)}
        onpeople={listed}
      />
    {/each}
    {#if mayChange}
      <div class="mt-3 ml-[5.75rem]">
        <HouseButton onclick={() => void begin(null, series.steps.length)}>Add a step</HouseButton>
      </div>
    {/if}
  </section>
  <section class="panel flex min-h-0 min-w-0 flex-col" aria-label="Beside the steps">
    <div class="flex flex-none border-b border-line" role="group" aria-label="What is shown">
      {#each SIDES as one (one.key)}
        <button
          type="button"
          class={`min-h-[39px] flex-1 border-b-2 px-2 max-md:min-h-[44px] ${one.key === side ? 'border-kelp font-semibold' : 'border-transparent text-soft'}`}
          aria-pressed={one.key === side}
          onclick={() => (side = one.key)}>{one.name}</button
        >
      {/each}
    </div>
    {#if side === 'one'}
      <OneGetsIt
        {series}
        {acts}
        {mayChange}
        {person}
        {step}
        onperson={(id) => (person = id)}
        onstep={(id) => (step = id)}
      />
    {:else if side === 'people'}
      <SeriesPeople
        {series}
        {which}
        onwhich={(wanted) => (which = wanted)}
        onchoose={(id) => {
          person = id;
          side = 'one';
        }}
      />
    {:else}
      <SeriesChoices {series} {mayChange} onsave={(body) => void acts.save(body)} />
    {/if}
  </section>
</div>

{#if written}
  {@const there = series.steps.find((s) => s.id === written?.id)}
  <StepDialog
    bind:open={() => written !== null, (open) => (written = open ? written : null)}
    title={there ? `Step ${there.place}` : 'A new step'}
    name={`step.${series.id}.${written.id ?? `new.${written.before ?? ''}`}`}
    step={written.step}
    first={written.at === 0}
    touches={there ? touchedWords(there, series.in + series.finished) : ''}
    mayBeForFinished={!there && written.before === null && series.finished > 0}
    onsave={save}
  />
{/if}
<LetInDialog
  bind:open={letting}
  series={series.id}
  onletin={(filter, plan) => acts.letIn(filter, plan)}
/>
