<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { Filter, SeriesPerson, SeriesStepBody, SeriesView } from '$lib/api/types';
  import { people } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { useQueryClient } from '@tanstack/svelte-query';
  import LetInDialog from './LetInDialog.svelte';
  import {
    blankStep,
    bodyOfStep,
    daysOfSteps,
    gapBefore,
    mayGoUp,
    movedUp,
    touchedWords
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

  const queries = useQueryClient();
  let written = $state.raw<Written | null>(null);
  let letting = $state(false);

  const mayChange = $derived((session.colleague?.mayWrite ?? false) && series.state !== 'ENDED');
  const days = $derived(daysOfSteps(series.steps));
  const params = $derived({ path: { id: series.id } });
  const inIt = $derived(series.in + series.finished);

  async function done(act: Promise<SeriesView>, words: string): Promise<boolean> {
    try {
      queries.setQueryData(['series', series.id], await act);
      await queries.invalidateQueries({ queryKey: ['series'] });
      await queries.invalidateQueries({ queryKey: ['series-people', series.id] });
      if (words) notices.say(words);
      return true;
    } catch (error) {
      notices.fail(error);
      return false;
    }
  }

  async function begin(before: number | null, at: number) {
    try {
      const { body } = await answer(api.GET('/api/templates/blank'));
      written = { step: blankStep(at === 0, body), id: null, before, at };
    } catch (error) {
      notices.fail(error);
    }
  }

  function save(step: SeriesStepBody, finishedToo: boolean): Promise<boolean> {
    const at = written;
    const path = { id: series.id, step: at?.id ?? 0 };
    const query = { before: at?.before ?? undefined, finishedToo };
    return done(
      at?.id
        ? answer(api.PUT('/api/series/{id}/steps/{step}', { params: { path }, body: step }))
        : answer(
            api.POST('/api/series/{id}/steps', {
              params: { path: params.path, query },
              body: step
            })
          ),
      'The step is saved.'
    );
  }

  const takeAway = (step: number) =>
    done(
      answer(
        api.DELETE('/api/series/{id}/steps/{step}', { params: { path: { id: series.id, step } } })
      ),
      'The step is taken away; everybody is past it.'
    );

  const moveUp = (at: number) =>
    done(
      answer(api.PUT('/api/series/{id}/order', { params, body: movedUp(series.steps, at) })),
      'The steps have changed places.'
    );

  async function letIn(filter: Filter): Promise<boolean> {
    const act = answer(
      api.POST('/api/series/{id}/people', { params, body: { filter, people: [] } })
    );
    const came = await act.catch((error: unknown) => (notices.fail(error), null));
    if (!came) return false;
    return done(
      answer(api.GET('/api/series/{id}', { params })),
      came.in ? `${people(came.in)} came in.` : 'Nobody came in: all of them are in it or were.'
    );
  }

  async function takeOut(person: SeriesPerson) {
    const body = { people: [person.personId] };
    const act = answer(api.POST('/api/series/{id}/people/out', { params, body }));
    const out = await act.catch((error: unknown) => (notices.fail(error), null));
    if (out) {
      await done(answer(api.GET('/api/series/{id}', { params })), `${person.name} is out.`);
    }
  }
</script>

<SeriesHead {series} {done} onletin={() => (letting = true)} />
{#if series.state === 'DRAFT' && series.blockers.length}
  <ul
    class="rounded-lg bg-ochre-pale px-3.5 py-2"
    aria-label="What stands in the way of activation"
  >
    {#each series.blockers as blocker (blocker)}<li>{blocker}</li>{/each}
  </ul>
{/if}
<div class="grid grid-cols-[minmax(0,1fr)_20rem] items-start gap-3 max-lg:grid-cols-1">
  <section aria-label="Steps" class="min-w-0">
    {#each series.steps as step, at (step.id)}
      <div
        class="ml-[calc(4.625rem-1px)] border-l-2 border-line"
        style={`height: ${gapBefore(days, at)}px`}
        aria-hidden="true"
      ></div>
      <StepCard
        {step}
        day={days[at] ?? 1}
        {mayChange}
        mayGoUp={mayGoUp(series.steps, at)}
        onchange={() => (written = { step: bodyOfStep(step), id: step.id, before: null, at })}
        oninsert={() => void begin(step.id, at)}
        onup={() => void moveUp(at)}
        ontakeaway={() => void takeAway(step.id)}
      />
    {/each}
    {#if mayChange}
      <div class="mt-3 ml-[5.75rem]">
        <HouseButton onclick={() => void begin(null, series.steps.length)}>Add a step</HouseButton>
      </div>
    {/if}
  </section>
  <div class="flex min-w-0 flex-col gap-3">
    <SeriesChoices
      {series}
      {mayChange}
      onsave={(body) => void done(answer(api.PUT('/api/series/{id}', { params, body })), '')}
    />
    <SeriesPeople {series} {mayChange} ontakeout={(person) => void takeOut(person)} />
  </div>
</div>

{#if written}
  {@const step = series.steps.find((s) => s.id === written?.id)}
  <StepDialog
    bind:open={() => written !== null, (open) => (written = open ? written : null)}
    title={step ? `Step ${step.place}` : 'A new step'}
    step={written.step}
    first={written.at === 0}
    touches={step ? touchedWords(step, inIt) : ''}
    mayBeForFinished={!step && written.before === null && series.finished > 0}
    onsave={save}
  />
{/if}
<LetInDialog bind:open={letting} onletin={letIn} />
