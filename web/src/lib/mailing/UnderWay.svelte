<script lang="ts">
  import { outboxTallyQuery, summaryQuery } from '$lib/api/queries';
  import type { Bench } from '$lib/api/types';
  import { dayAndTime } from '$lib/format/dates';
  import { count, messages } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';
  import Act from '$lib/ui/Act.svelte';
  import Progress from '$lib/ui/Progress.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { held } from './held.svelte';

  interface Props {
    mailing: Bench;
    busy: boolean;
    ontakeback: () => void;
    onwithdraw: () => void;
  }

  let { mailing, busy, ontakeback, onwithdraw }: Props = $props();

  const summary = createQuery(() => summaryQuery(mailing.id));
  const outbox = createQuery(() => outboxTallyQuery(mailing.id));

  const seconds = $derived(held.secondsUntil(mailing.heldUntil));
  const of = (states: string[]) =>
    (outbox.data?.parts ?? [])
      .filter((p) => states.includes(p.state))
      .reduce((sum, p) => sum + p.messages, 0);
  const toLeave = $derived(of(['waiting', 'deferred', 'sending', 'held']));
  const sent = $derived(summary.data?.sent ?? 0);
  const total = $derived(summary.data?.messages ?? 0);
  const mayWrite = $derived(session.colleague?.mayWrite ?? false);
</script>

<section class="panel flex-none px-4 py-3" aria-label="Under way" aria-live="polite">
  <div class="flex flex-wrap items-center gap-x-5 gap-y-2">
    <h2 class="text-[1rem]">
      {mailing.state === 'WITHDRAWN'
        ? 'Withdrawn'
        : seconds > 0
          ? 'Released, held'
          : toLeave
            ? 'Under way'
            : 'Done'}
    </h2>
    <p class="flex-1">
      {#if seconds > 0 && mailing.state === 'RELEASED'}
        {messages(total)} are held {seconds} more {seconds === 1 ? 'second' : 'seconds'}.
      {:else}
        {count(sent)} of {count(total)} gone{#if toLeave && mailing.dueAt && sent === 0}, the first
          leaves {dayAndTime(mailing.dueAt, session.zone)}{/if}.
        {#if of(['refused'])}{count(of(['refused']))} refused.{/if}
        {#if of(['in_doubt'])}{count(of(['in_doubt']))} in doubt.{/if}
        {#if of(['withdrawn'])}{count(of(['withdrawn']))} withdrawn.{/if}
      {/if}
    </p>
    {#if seconds > 0 && mayWrite}
      <Act look="main" disabled={busy} onclick={ontakeback}>Take back</Act>
    {:else if toLeave && mayWrite}
      <Act look="grave" disabled={busy} onclick={onwithdraw}>Withdraw the rest</Act>
    {/if}
    <a class="font-semibold text-kelp hover:underline" href={`/outbox?mailing=${mailing.id}`}
      >Outbox</a
    >
    <a class="font-semibold text-kelp hover:underline" href={`/responses/${mailing.id}`}
      >Responses</a
    >
  </div>
  <Progress label="Messages gone" value={sent} of={total} />
</section>
