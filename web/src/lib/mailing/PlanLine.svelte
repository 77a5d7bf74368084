<script lang="ts">
  import type { PlanView } from '$lib/api/types';
  import { planBars } from '$lib/plan/bars';
  import PlanForm from '$lib/plan/PlanForm.svelte';
  import PlanResult from '$lib/plan/PlanResult.svelte';
  import PlanWords from '$lib/plan/PlanWords.svelte';
  import ReadingTime from '$lib/plan/ReadingTime.svelte';
  import RunBars from '$lib/plan/RunBars.svelte';
  import type { Writing } from '$lib/draft/writing.svelte';
  import FoldLine from '$lib/ui/FoldLine.svelte';
  import { folds } from '$lib/ui/folds.svelte';

  interface Props {
    writing: Writing;
    sheet: PlanView | undefined;
    /** When the audience was last looked at; 0 for never. */
    looked: number;
    editable: boolean;
  }

  let { writing, sheet, looked, editable }: Props = $props();
  const days = $derived(planBars(sheet?.days ?? []));
  const set = (plan: Writing['plan']) => writing.set('plan', plan);
</script>

<FoldLine name="plan" title="Leaves">
  {#snippet sentence()}
    <PlanWords {sheet} {editable} onchange={set} />
  {/snippet}
  {#snippet aside()}
    {#if !folds.isOpen('plan') && sheet && sheet.waves > 1}
      <div class="w-44 flex-none max-lg:hidden"><RunBars {days} small /></div>
    {/if}
  {/snippet}
  <div class="grid grid-cols-[minmax(0,31rem)_minmax(0,1fr)] gap-x-8 gap-y-3 max-lg:grid-cols-1">
    <div>
      <PlanForm plan={writing.plan} {editable} onchange={set} />
      {#if looked}
        <ReadingTime
          id={writing.mailing.id}
          since={looked}
          plan={writing.plan}
          {editable}
          onchange={set}
        />
      {/if}
    </div>
    <div class="min-w-0 self-center" aria-live="polite">
      {#if sheet}
        <PlanResult plan={writing.plan} view={sheet} {editable} onchange={set} />
      {/if}
    </div>
  </div>
</FoldLine>
