<script lang="ts">
  import type { PlanView, SendPlan } from '$lib/api/types';
  import { dayAndTime, wallTime, zoneCity } from '$lib/format/dates';
  import { count, messages, people } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';
  import { sendingQuery } from '$lib/api/queries';
  import { createQuery } from '@tanstack/svelte-query';
  import { closedBy, planBars } from './bars';
  import { boundOf, boundWords, gapWords, lengthWords, roundGap } from './planWords';
  import RunBars from './RunBars.svelte';

  interface Props {
    plan: SendPlan;
    view: PlanView;
    editable: boolean;
    onchange: (plan: SendPlan) => void;
  }

  let { plan, view, editable, onchange }: Props = $props();

  const sending = createQuery(sendingQuery);
  /** Bands of hours are those of one clock; on each person's own there are none to show. */
  const closed = $derived(
    closedBy(plan.ownClock ? null : (plan.hours ?? sending.data?.hours ?? null))
  );
  const bound = $derived(boundOf(view.days));
  const doneBy = $derived(view.doneBy);
  const lastWords = $derived(
    view.last ? `The last leaves ${dayAndTime(view.last, session.zone)}` : ''
  );
  const afterLast = $derived(
    doneBy?.met && doneBy.slackSeconds
      ? ` — ${lengthWords(doneBy.slackSeconds)} before your day ends`
      : view.waves > 1
        ? `, ${count(view.waves)} waves`
        : ''
  );
  const longest = $derived(doneBy?.largestGapSeconds ? roundGap(doneBy.largestGapSeconds) : null);
  const zones = $derived(
    view.zones
      .slice(0, 3)
      .map((z) => `${count(z.people)} in ${zoneCity(z.zone)}`)
      .join(', ')
  );
  const others = $derived(view.zones.slice(3).reduce((sum, z) => sum + z.people, 0));
  const help = 'min-h-[26px] font-semibold text-kelp hover:underline';
</script>

{#if view.messages === 0}
  <p class="text-soft">Nobody can be written to yet.</p>
{:else}
  {#if view.days.length}<RunBars days={planBars(view.days, closed)} />{/if}
  {#if view.unplanned}
    <p class="text-brick">
      {messages(view.unplanned)} would never leave under these hours and caps.
    </p>
  {:else if view.last}
    <p><b>{lastWords}</b>{afterLast}.</p>
  {/if}
  {#if doneBy && !doneBy.met}
    <p class="text-brick">
      {#if doneBy.slackSeconds !== null}
        That is {lengthWords(doneBy.slackSeconds)} too late.
      {/if}
      {#if doneBy.missSeconds}
        Even all at once would be {lengthWords(doneBy.missSeconds)} too late{doneBy.limits.length
          ? `, for ${boundWords(doneBy.limits)}`
          : ''}.
      {/if}
    </p>
  {/if}
  {#if doneBy && editable}
    <p class="flex flex-wrap gap-x-3 text-[0.9rem]">
      {#if doneBy.smallestWave && doneBy.smallestWave !== plan.wavePeople}
        <button
          type="button"
          class={help}
          onclick={() => onchange({ ...plan, wavePeople: doneBy.smallestWave })}
          >{doneBy.met
            ? `Make the waves smaller: ${count(doneBy.smallestWave)} at a time is enough`
            : `Make the waves larger: ${count(doneBy.smallestWave)} at a time would do`}</button
        >
      {/if}
      {#if longest && longest !== plan.waveGapSeconds}
        <button
          type="button"
          class={help}
          onclick={() => onchange({ ...plan, waveGapSeconds: longest })}
          >{longest > plan.waveGapSeconds ? 'Leave more time' : 'Leave less time'} between waves: {gapWords(
            longest
          )}</button
        >
      {/if}
      {#if doneBy.latestStart}
        <button
          type="button"
          class={help}
          onclick={() => onchange({ ...plan, startWall: doneBy.latestStart })}
          >Start later: {wallTime(doneBy.latestStart)} is still in time</button
        >
      {/if}
    </p>
  {/if}
  {#if view.ownClocksLast && editable}
    <button
      type="button"
      class={[help, 'text-left text-[0.9rem]']}
      onclick={() => onchange({ ...plan, ownClock: true })}
      >Keep the hours on each person’s own clock: the last would leave {dayAndTime(
        view.ownClocksLast,
        session.zone
      )}</button
    >
  {/if}
  {#if view.colliding}
    <p class="text-[0.9rem]">
      {people(view.colliding)} would get another mailing too, {view.spacingDays === 1
        ? 'one day'
        : `${view.spacingDays} days`} apart or less.
    </p>
  {/if}
  <p class="text-[0.9rem] text-soft">
    {#if bound.length}Held back by {boundWords(bound)}.{/if}
    {#if view.zones.length > 1}{zones}{#if others}, {people(others)} elsewhere{/if}.{/if}
  </p>
{/if}
