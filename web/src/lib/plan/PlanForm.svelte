<script lang="ts">
  import { sendingQuery } from '$lib/api/queries';
  import type { SendPlan } from '$lib/api/types';
  import { zoneCity } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import DayField from '$lib/ui/DayField.svelte';
  import PlanHours from './PlanHours.svelte';
  import StartChoice from './StartChoice.svelte';
  import { gapIn, UNITS } from './planWords';

  interface Props {
    plan: SendPlan;
    editable: boolean;
    onchange: (plan: SendPlan) => void;
  }

  let { plan, editable, onchange }: Props = $props();

  const sending = createQuery(sendingQuery);
  const city = $derived(zoneCity(session.zone));
  const gap = $derived(gapIn(plan.waveGapSeconds));
  const control =
    'h-7 rounded-md border-line bg-card px-1.5 py-0 text-[0.92rem] disabled:text-soft';
  const choice = `${control} pe-7`;

  function set(part: Partial<SendPlan>) {
    onchange({ ...plan, ...part });
  }

  function setPeople(value: string) {
    const people = Math.floor(Number(value));
    if (people >= 1) set({ wavePeople: people });
  }

  function setGap(number: string, unit: number) {
    const n = Math.floor(Number(number));
    if (number !== '' && n >= 0) set({ waveGapSeconds: n * unit });
  }
</script>

<fieldset disabled={!editable} class="flex flex-col gap-1 text-[0.92rem]">
  <legend class="sr-only">When the messages leave</legend>
  <div class="flex flex-wrap items-center gap-1.5">
    <span class="w-15 whitespace-nowrap text-soft">Start</span>
    <StartChoice {plan} {editable} onchange={set} />
  </div>
  <div class="flex flex-wrap items-center gap-1.5">
    <span class="w-15 whitespace-nowrap text-soft">Pace</span>
    <select
      class={choice}
      aria-label="Pace"
      value={plan.wavePeople === null ? 'once' : 'waves'}
      onchange={(e) => set({ wavePeople: e.currentTarget.value === 'once' ? null : 40 })}
    >
      <option value="once">all at once</option>
      <option value="waves">in waves</option>
    </select>
    {#if plan.wavePeople !== null}
      of
      <input
        type="number"
        min="1"
        class={`${control} w-16`}
        aria-label="People in a wave"
        value={plan.wavePeople}
        oninput={(e) => setPeople(e.currentTarget.value)}
      />
      every
      <input
        type="number"
        min="0"
        class={`${control} w-14`}
        aria-label="From one wave to the next"
        value={gap.number}
        oninput={(e) => setGap(e.currentTarget.value, gap.unit)}
      />
      <select
        class={choice}
        aria-label="Unit"
        value={String(gap.unit)}
        onchange={(e) => setGap(String(gap.number), Number(e.currentTarget.value))}
      >
        {#each UNITS.toReversed() as unit (unit.seconds)}
          <option value={String(unit.seconds)}>{unit.many}</option>
        {/each}
      </select>
    {/if}
  </div>
  <div class="flex flex-wrap items-center gap-1.5">
    <span class="w-15 whitespace-nowrap text-soft">Hours</span>
    <PlanHours
      hours={plan.hours}
      house={sending.data?.hours ?? null}
      {editable}
      onchange={(hours) => set({ hours })}
    />
    <select
      class={choice}
      aria-label="On whose clock the hours are"
      value={String(plan.ownClock)}
      onchange={(e) => set({ ownClock: e.currentTarget.value === 'true' })}
    >
      <option value="false">on {city}’s clock</option>
      <option value="true">on each person’s own clock</option>
    </select>
  </div>
  <div class="flex flex-wrap items-center gap-1.5">
    <span class="w-15 whitespace-nowrap text-soft">Done by</span>
    <DayField
      label="Done by"
      value={plan.doneBy}
      disabled={!editable}
      onchange={(day) => set({ doneBy: day || null })}
    />
    {#if plan.doneBy === null}
      <span class="text-soft">any day</span>
    {:else if editable}
      <button
        type="button"
        class="min-h-[26px] text-[0.9rem] text-kelp hover:underline"
        onclick={() => set({ doneBy: null })}>Any day</button
      >
    {/if}
  </div>
</fieldset>
