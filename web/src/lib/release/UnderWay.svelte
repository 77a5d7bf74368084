<script lang="ts">
  import { outboxTallyQuery, runQuery, summaryQuery } from '$lib/api/queries';
  import type { WholeMailing } from '$lib/api/types';
  import { dayAndTime } from '$lib/format/dates';
  import { count, messages } from '$lib/format/numbers';
  import { runBars } from '$lib/plan/bars';
  import RunBars from '$lib/plan/RunBars.svelte';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Progress from '$lib/ui/Progress.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { TO_DEPART } from './outboxParts';
  import type { MailingActs } from './acts.svelte';
  import { held } from './held.svelte';
  import RestDialog from '$lib/plan/RestDialog.svelte';

  interface Props {
    mailing: WholeMailing;
    acts: MailingActs;
  }

  let { mailing, acts }: Props = $props();

  const summary = createQuery(() => summaryQuery(mailing.id));
  const outbox = createQuery(() => outboxTallyQuery(mailing.id));
  const run = createQuery(() => runQuery(mailing.id));
  let changing = $state(false);

  const seconds = $derived(held.secondsUntil(mailing.heldUntil));
  const of = (states: string[]) =>
    (outbox.data?.parts ?? [])
      .filter((p) => states.includes(p.state))
      .reduce((sum, p) => sum + p.messages, 0);
  const toDepart = $derived(of(TO_DEPART));
  const sent = $derived(summary.data?.sent ?? 0);
  const total = $derived(summary.data?.messages ?? 0);
  const mayWrite = $derived(session.may('WRITE_TO_ONE'));
  const released = $derived(mailing.state === 'RELEASED');
  const writing = $derived(mailing.writing);
  const days = $derived(runBars(run.data?.hours ?? []));
</script>

<section class="panel flex-none px-4 py-3" aria-label="Under way" aria-live="polite">
  <div class="flex flex-wrap items-center gap-x-5 gap-y-2">
    <h2 class="text-[1rem]">
      {#if !released}
        Withdrawn
      {:else if writing}
        Being written
      {:else if mailing.paused}
        Paused
      {:else if seconds > 0}
        Released, held
      {:else}
        {toDepart ? 'Under way' : 'Done'}
      {/if}
    </h2>
    <p class="flex-1">
      {#if writing}
        {count(writing.written)} of {messages(writing.messages)} written; none leaves before all are.
      {:else if seconds > 0 && released && !mailing.paused}
        {messages(total)} held for {seconds} more {seconds === 1 ? 'second' : 'seconds'}.
      {:else}
        {count(sent)} of {count(total)} gone{#if mailing.paused}, {count(of(['held']))} held back{:else if toDepart && mailing.dueAt && sent === 0},
          the first leaves {dayAndTime(
            mailing.dueAt,
            session.zone
          )}{:else if run.data?.last && toDepart}, the last leaves {dayAndTime(
            run.data.last,
            session.zone
          )}{/if}.
        {#if of(['refused'])}{count(of(['refused']))} refused.{/if}
        {#if of(['in_doubt'])}{count(of(['in_doubt']))} in doubt.{/if}
        {#if of(['withdrawn'])}{count(of(['withdrawn']))} withdrawn.{/if}
      {/if}
    </p>
    {#if (seconds > 0 || writing) && released && mayWrite}
      <HouseButton weight="main" disabled={acts.busy} onclick={() => acts.takeBack()}
        >Take back</HouseButton
      >
    {:else if toDepart && released && mayWrite && !writing}
      {#if mailing.paused}
        <HouseButton weight="main" disabled={acts.busy} onclick={() => acts.resume()}
          >Resume</HouseButton
        >
      {:else}
        <HouseButton disabled={acts.busy} onclick={() => acts.pause()}>Pause</HouseButton>
      {/if}
      <HouseButton disabled={acts.busy} onclick={() => (changing = true)}
        >Change the rest</HouseButton
      >
      <HouseButton weight="grave" disabled={acts.busy} onclick={() => acts.withdraw()}
        >Withdraw the rest</HouseButton
      >
    {/if}
    <a class="font-semibold text-kelp hover:underline" href={`/outbox?mailing=${mailing.id}`}
      >Outbox</a
    >
    <a class="font-semibold text-kelp hover:underline" href={`/responses/${mailing.id}`}
      >Responses</a
    >
  </div>
  {#if writing}
    <Progress label="Messages written" value={writing.written} of={writing.messages} />
  {:else}
    <Progress label="Messages gone" value={sent} of={total} />
  {/if}
  {#if days.length > 1 || (days[0]?.bars.length ?? 0) > 1}
    <div class="mt-3"><RunBars {days} running /></div>
  {/if}
</section>
{#if changing}
  <RestDialog
    bind:open={changing}
    {mailing}
    busy={acts.busy}
    onchange={async (plan) => {
      await acts.replan(plan);
      changing = false;
    }}
  />
{/if}
