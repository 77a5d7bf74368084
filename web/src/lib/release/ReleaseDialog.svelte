<script lang="ts">
  import type { CheckResult, PlanView, SendPlan } from '$lib/api/types';
  import { dayAndTime, zoneCity } from '$lib/format/dates';
  import { count, messages, people } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import { blockers, notices, severalWays } from '$lib/check/checkParts';
  import { textSums } from '$lib/ways/sums';
  import { byWay } from '$lib/ways/ways';

  interface Props {
    open: boolean;
    check: CheckResult;
    sheet: PlanView | undefined;
    plan: SendPlan;
    busy: boolean;
    /** Whether each message is about a task, which may be done with it. */
    aboutTasks: boolean;
    onrelease: (tasksDone: boolean) => void;
    /** Asks a second colleague for their nod, which releases it. */
    onask: () => void;
  }

  let {
    open = $bindable(),
    check,
    sheet,
    plan,
    busy,
    aboutTasks,
    onrelease,
    onask
  }: Props = $props();
  let tasksDone = $state(false);
  const stop = $derived(blockers(check));
  const nod = $derived(check.findings.find((f) => f.code === 'NEEDS_NOD'));
  const when = $derived.by(() => {
    if (!sheet?.first || !sheet.last) return '';
    if (!plan.startWall && sheet.waves === 1)
      return 'They leave as soon as they are no longer held.';
    const first = dayAndTime(sheet.first, session.zone);
    const city = zoneCity(session.zone);
    if (sheet.waves === 1) return `They leave ${first}, ${city} time.`;
    const last = dayAndTime(sheet.last, session.zone);
    return `They leave from ${first} to ${last}, in ${count(sheet.waves)} waves, ${city} time.`;
  });
  const cannot = $derived(check.cannot.reduce((sum, c) => sum + c.people, 0));
</script>

<Ask
  bind:open
  title={stop.length
    ? 'Not ready to be released'
    : `${nod ? 'Ask for a nod to' : 'Release'} ${messages(check.ready)}?`}
>
  {#if stop.length}
    <ul class="list-disc ps-5">
      {#each stop as finding (finding.sentence)}<li>{finding.sentence}</li>{/each}
    </ul>
  {:else}
    {#if nod}<p class="mb-2 font-semibold">{nod.sentence}</p>{/if}
    <ul class="flex flex-col gap-1">
      <li>
        {when}
      </li>
      {#if severalWays(check)}
        <li>
          {check.ways.map((way) => `${count(way.people)} ${byWay(way.channel)}`).join(', ')}.
        </li>
      {/if}
      {#each textSums(check.texts) as sum (sum)}<li>{sum}.</li>{/each}
      {#if check.needLook}
        <li class="text-ochre">
          {people(check.needLook)} of them {check.needLook === 1 ? 'needs' : 'need'} a look; {notices(
            check
          ).length === 1
            ? 'the notice says'
            : 'the notices say'} why. They will be written to as it stands.
        </li>
      {/if}
      {#if cannot}
        <li>
          {people(cannot)} cannot be written to: {check.cannot
            .map((c) => `${count(c.people)} ${c.words}`)
            .join(', ')}.
        </li>
      {/if}
    </ul>
    {#if aboutTasks && !nod}
      <label class="mt-3 flex items-center gap-2">
        <input type="checkbox" class="rounded border-soft text-kelp" bind:checked={tasksDone} />
        Mark the tasks they are about as done
      </label>
    {/if}
  {/if}
  {#snippet actions()}
    <HouseButton onclick={() => (open = false)}>{stop.length ? 'Close' : 'Not yet'}</HouseButton>
    {#if nod && !stop.length}
      <HouseButton weight="main" disabled={busy} onclick={onask} first>Ask for the nod</HouseButton>
    {:else if !stop.length}
      <HouseButton weight="main" disabled={busy} onclick={() => onrelease(tasksDone)} first>
        {busy ? 'Releasing…' : `Release ${count(check.ready)}`}
      </HouseButton>
    {/if}
  {/snippet}
</Ask>
