<script lang="ts">
  import { letterheadsQuery } from '$lib/api/queries';
  import type { PlanView } from '$lib/api/types';
  import PlanForm from '$lib/plan/PlanForm.svelte';
  import ReadingTime from '$lib/plan/ReadingTime.svelte';
  import PlanResult from '$lib/plan/PlanResult.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import type { BenchState } from './bench.svelte';
  import { countingWords, voiceWords } from './sending';

  interface Props {
    bench: BenchState;
    sheet: PlanView | undefined;
    /** When the audience was last looked at; 0 for never. */
    looked: number;
    editable: boolean;
    ondiscard: () => void;
    onoptions: () => void;
  }

  let { bench, sheet, looked, editable, ondiscard, onoptions }: Props = $props();

  const letterheads = createQuery(letterheadsQuery);
  const paper = $derived(
    bench.letterheadId === null
      ? 'Without a letterhead'
      : `On the letterhead “${letterheads.data?.find((l) => l.id === bench.letterheadId)?.name ?? '…'}”`
  );
</script>

<section
  class="panel grid flex-none grid-cols-[minmax(0,31rem)_minmax(0,1fr)_minmax(0,13.5rem)] gap-6 px-4 py-3 max-lg:grid-cols-1"
  aria-label="Run sheet"
>
  <div>
    <h2 class="mb-1.5 text-[1rem]">Run sheet</h2>
    <PlanForm plan={bench.plan} {editable} onchange={(plan) => bench.set('plan', plan)} />
    {#if looked}
      <ReadingTime
        id={bench.mailing.id}
        since={looked}
        plan={bench.plan}
        {editable}
        onchange={(plan) => bench.set('plan', plan)}
      />
    {/if}
  </div>
  <div class="min-w-0 self-center" aria-live="polite">
    {#if sheet}
      <PlanResult
        plan={bench.plan}
        view={sheet}
        {editable}
        onchange={(plan) => bench.set('plan', plan)}
      />
    {/if}
  </div>
  <div>
    <h2 class="mb-1.5 text-[1rem]">How it is sent</h2>
    <ul class="text-[0.92rem]">
      <li>{paper}</li>
      <li>{voiceWords(bench)}</li>
      <li>{countingWords(bench)}</li>
      <li>
        {bench.promotional ? 'Says how to leave the list' : 'Does not say how to leave'}
        {#if bench.private}· private{/if}
      </li>
    </ul>
    {#if editable}
      <p class="flex gap-4 text-[0.9rem]">
        <button
          type="button"
          class="min-h-[26px] font-semibold text-kelp hover:underline"
          onclick={onoptions}>Change</button
        >
        <button type="button" class="min-h-[26px] text-brick hover:underline" onclick={ondiscard}
          >Discard this draft</button
        >
      </p>
    {/if}
  </div>
</section>
