<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { anybodyQuery } from '$lib/api/named';
  import type { SeriesView } from '$lib/api/types';
  import { keys } from '$lib/keys/keys.svelte';
  import { UNTOLD } from '$lib/live/live';
  import { session } from '$lib/session/session.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import WayProof from '$lib/ways/WayProof.svelte';
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query';
  import { onMount } from 'svelte';
  import type { SeriesActs } from './acts.svelte';
  import ChoosePerson from './ChoosePerson.svelte';
  import OneActs from './OneActs.svelte';
  import { onBothClocks, standsWords, wayWords } from './way';

  interface Props {
    series: SeriesView;
    acts: SeriesActs;
    mayChange: boolean;
    /** Whose way is shown; null for whoever comes first. */
    person: number | null;
    /** The step that is read. */
    step: number | null;
    onperson: (id: number) => void;
    onstep: (id: number) => void;
  }

  let { series, acts, mayChange, person, step, onperson, onstep }: Props = $props();

  const first = createQuery(() => ({
    queryKey: ['series-people', series.id, 'first'],
    queryFn: () =>
      answer(api.GET('/api/series/{id}/people', { params: { path: { id: series.id } } }))
  }));
  const anybody = createQuery(() => anybodyQuery(first.data?.length === 0));
  const whom = $derived(person ?? first.data?.[0]?.personId ?? anybody.data?.[0]?.id ?? null);
  const way = createQuery(() => ({
    queryKey: ['series-people', series.id, 'way', whom, series.version],
    queryFn: () =>
      answer(
        api.GET('/api/series/{id}/people/{person}', {
          params: { path: { id: series.id, person: whom ?? 0 } }
        })
      ),
    enabled: whom !== null,
    refetchInterval: UNTOLD,
    placeholderData: keepPreviousData
  }));
  const read = $derived(way.data?.steps.find((s) => s.stepId === step) ?? way.data?.steps[0]);
  const proof = createQuery(() => ({
    queryKey: ['series-people', series.id, 'proof', whom, read?.causeId, series.steps],
    queryFn: () =>
      answer(
        api.GET('/api/mailings/{id}/proofs/{personId}', {
          params: { path: { id: read?.causeId ?? 0, personId: whom ?? 0 } }
        })
      ),
    enabled: whom !== null && read !== undefined && !way.data?.cannot,
    placeholderData: keepPreviousData
  }));
  const when = $derived((at: string) => onBothClocks(at, session.zone, way.data?.zone ?? ''));

  function go(by: number) {
    const steps = way.data?.steps ?? [];
    const at = steps.findIndex((s) => s.stepId === read?.stepId);
    const next = steps[Math.max(0, Math.min(steps.length - 1, at + by))];
    if (next) onstep(next.stepId);
  }

  /** Copies of what this person gets, to oneself. */
  async function copies(causes: number[]) {
    try {
      for (const id of causes) {
        const body = { personId: whom ?? 0, recordId: null, colleagueId: null };
        await answer(api.POST('/api/mailings/{id}/copy', { params: { path: { id } }, body }));
      }
      const what = causes.length === 1 ? 'The copy is' : `${causes.length} copies are`;
      notices.say(`${what} on the way to you.`);
    } catch (error) {
      notices.fail(error);
    }
  }

  onMount(() => keys.use({ n: () => go(1), p: () => go(-1) }));
</script>

<div class="flex min-h-0 flex-1 flex-col">
  <div class="border-b border-line px-3.5 py-2">
    <ChoosePerson name={way.data?.name ?? ''} onchoose={onperson} />
    {#if way.data}
      <p class="text-[0.9rem] text-soft">
        {wayWords(way.data, series.state)}{#if way.data.cannot}
          <span class="text-ochre">Nothing reaches them: {way.data.cannot}.</span>{/if}
      </p>
    {/if}
  </div>
  {#if way.error}
    <Trouble error={way.error} onretry={() => way.refetch()} />
  {:else if way.data}
    <ol
      class="max-h-[30%] flex-none max-lg:max-h-none overflow-y-auto border-b border-line"
      aria-label="Their steps"
    >
      {#each way.data.steps as one (one.stepId)}
        <li>
          <button
            type="button"
            class={`flex w-full gap-2 px-3.5 py-1 text-left text-[0.93rem] max-md:min-h-[44px] ${one.stepId === read?.stepId ? 'bg-kelp-pale' : ''}`}
            aria-current={one.stepId === read?.stepId ? 'step' : undefined}
            onclick={() => onstep(one.stepId)}
          >
            <span class="w-4 flex-none text-right font-semibold">{one.place}</span>
            <span class={one.stands === 'AHEAD' || one.stands === 'GOT' ? '' : 'text-soft'}
              >{standsWords(one, when)}</span
            >
          </button>
        </li>
      {/each}
    </ol>
    <div class="flex min-h-0 flex-1 flex-col p-3 max-lg:min-h-96">
      {#if way.data.cannot}
        <p class="text-soft">There is nothing to read: {way.data.cannot}.</p>
      {:else if proof.error}
        <Trouble error={proof.error} />
      {:else if proof.data}
        {#if proof.data.missing.length}
          <p class="mb-1.5 text-[0.9rem] text-ochre">
            Lacks {proof.data.missing.join(', ')}: with a gap in it, it passes them over.
          </p>
        {/if}
        <WayProof proof={proof.data} mailingId={read?.causeId} />
      {/if}
      {#if read}
        <OneActs
          {series}
          {acts}
          {mayChange}
          way={way.data}
          {read}
          proof={proof.data}
          oncopies={(causes) => void copies(causes)}
        />
      {/if}
    </div>
  {:else if first.isSuccess && !anybody.isLoading}
    <p class="p-3.5 text-soft">Nobody is on record yet whose letters could be shown.</p>
  {/if}
</div>
