<script lang="ts">
  import type { PlanView } from '$lib/api/types';
  import FollowPanel from '$lib/followup/FollowPanel.svelte';
  import PlanForm from '$lib/plan/PlanForm.svelte';
  import ReadingTime from '$lib/plan/ReadingTime.svelte';
  import PlanResult from '$lib/plan/PlanResult.svelte';
  import type { Writing } from '$lib/draft/writing.svelte';

  interface Props {
    writing: Writing;
    sheet: PlanView | undefined;
    /** When the audience was last looked at; 0 for never. */
    looked: number;
    editable: boolean;
    ondiscard: () => void;
  }

  let { writing, sheet, looked, editable, ondiscard }: Props = $props();
</script>

<section
  class="panel grid flex-none grid-cols-[minmax(0,31rem)_minmax(0,1fr)_minmax(0,19rem)] gap-6 px-4 py-3 max-lg:grid-cols-1"
  aria-label="Run sheet"
>
  <div>
    <div class="mb-1.5 flex items-baseline justify-between gap-4">
      <h2 class="text-[1rem]">Run sheet</h2>
      {#if editable}
        <button
          type="button"
          class="min-h-[24px] text-[0.9rem] text-brick hover:underline"
          onclick={ondiscard}>Discard this draft</button
        >
      {/if}
    </div>
    <PlanForm plan={writing.plan} {editable} onchange={(plan) => writing.set('plan', plan)} />
    {#if looked}
      <ReadingTime
        id={writing.mailing.id}
        since={looked}
        plan={writing.plan}
        {editable}
        onchange={(plan) => writing.set('plan', plan)}
      />
    {/if}
  </div>
  <div class="min-w-0 self-center" aria-live="polite">
    {#if sheet}
      <PlanResult
        plan={writing.plan}
        view={sheet}
        {editable}
        onchange={(plan) => writing.set('plan', plan)}
      />
    {/if}
  </div>
  <FollowPanel
    mailingId={writing.mailing.id}
    since={writing.revision + looked}
    {editable}
    released={false}
  />
</section>
