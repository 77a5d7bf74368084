<script lang="ts">
  import type { WholeMailing, SendPlan } from '$lib/api/types';
  import { now } from '$lib/format/now';
  import PlanForm from './PlanForm.svelte';
  import { planQuestion } from './planQuestion.svelte';
  import PlanResult from './PlanResult.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';

  interface Props {
    open: boolean;
    mailing: WholeMailing;
    busy: boolean;
    onchange: (plan: SendPlan) => void;
  }

  let { open = $bindable(), mailing, busy, onchange }: Props = $props();

  // A start that has passed means nothing to what has not left.
  // svelte-ignore state_referenced_locally
  const passed = !!mailing.dueAt && new Date(mailing.dueAt) < now();
  // svelte-ignore state_referenced_locally
  let plan = $state.raw<SendPlan>(
    passed ? { ...mailing.plan, startWall: null, startOwn: false } : mailing.plan
  );
  const sheet = planQuestion(() => ({
    id: mailing.id,
    plan,
    since: mailing.version,
    enabled: open
  }));
</script>

<Ask bind:open wide title="What has not left yet">
  <div class="flex flex-col gap-4">
    <PlanForm {plan} editable onchange={(next) => (plan = next)} />
    <div class="border-t border-line-soft pt-3">
      {#if sheet.data}
        <PlanResult {plan} view={sheet.data} editable onchange={(next) => (plan = next)} />
      {/if}
      {#if sheet.error}<Trouble error={sheet.error} />{/if}
    </div>
  </div>
  {#snippet actions()}
    <HouseButton onclick={() => (open = false)}>Leave it as it is</HouseButton>
    <HouseButton
      weight="main"
      disabled={busy || !sheet.data || sheet.data.unplanned > 0}
      onclick={() => onchange(plan)}>Use this plan for the rest</HouseButton
    >
  {/snippet}
</Ask>
