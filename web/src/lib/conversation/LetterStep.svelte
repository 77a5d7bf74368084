<script lang="ts">
  import type { ConversationStep } from '$lib/api/types';
  import { lately } from '$lib/format/dates';
  import { held } from '$lib/release/held.svelte';
  import { states } from '$lib/outbox/states';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import LetterMark from '$lib/ui/LetterMark.svelte';
  import { readings, unclear, writer, type Reading } from './conversation';
  import { letterOf } from '$lib/response/kinds';
  import { byWay } from '$lib/ways/ways';

  interface Props {
    step: ConversationStep;
    onread: (mailId: number, what: Reading) => void;
    ontakeback: (mailingId: number) => void;
    onlook: (messageId: number) => void;
  }

  let { step, onread, ontakeback, onlook }: Props = $props();

  const ours = $derived(step.ours);
  const theirs = $derived(step.theirs);
  const way = $derived(theirs?.channel ?? ours?.channel ?? 'EMAIL');
  const waits = $derived(ours !== null && ours.state !== 'sent');
  const seconds = $derived(waits ? held.secondsUntil(step.at) : 0);
  const mayWrite = $derived(session.may('WRITE_TO_ONE'));
</script>

<article class={`border-b border-line-soft px-4 py-3 ${theirs ? 'bg-kelp-pale' : ''}`}>
  <header class="flex flex-wrap items-baseline gap-x-2">
    <LetterMark
      letter={theirs
        ? theirs.kind
          ? letterOf(theirs.kind)
          : 'returned'
        : waits
          ? (states[ours?.state ?? '']?.letter ?? 'waiting')
          : 'sent'}
    />
    <h2 class="text-[1rem] font-semibold">{theirs ? writer(theirs.from) : ours?.writer}</h2>
    <span class="min-w-0 text-[0.93rem] break-words text-soft"
      >{way === 'EMAIL' ? (theirs?.subject ?? ours?.subject) : byWay(way)}{ours?.receipts
        ? `, ${ours.receipts}`
        : ''}</span
    >
    <span class="ms-auto text-[0.85rem] text-soft">{lately(step.at, session.zone)}</span>
  </header>
  {#if ours}
    <div class="mt-1 max-w-[44rem] break-words whitespace-pre-wrap">
      {#if ours.text !== null}
        {ours.text}
        <span class="mt-1 block">
          <HouseButton weight="quiet" onclick={() => onlook(ours.messageId)}
            >See it as it looked</HouseButton
          >
        </span>
      {:else}
        <span class="text-soft">
          {seconds > 0
            ? `Leaves in ${seconds} s.`
            : `In the outbox: ${states[ours.state]?.words ?? ours.state}.`}
        </span>
        {#if ours.answer && seconds > 0 && mayWrite}
          <HouseButton weight="quiet" onclick={() => ontakeback(ours.mailingId)}
            >Take back</HouseButton
          >
        {/if}
      {/if}
    </div>
  {:else if theirs}
    {#if unclear(theirs)}
      <p class="mt-2 rounded-lg bg-ochre-pale px-3 py-1.5">{unclear(theirs)}</p>
    {/if}
    <div class="mt-1 max-w-[44rem] break-words whitespace-pre-wrap">
      {theirs.words || 'Nothing but what it quotes.'}
    </div>
    {#if theirs.quoted}
      <details class="mt-1 text-[0.93rem] text-soft">
        <summary class="cursor-pointer">What it quotes</summary>
        <div class="mt-1 max-w-[44rem] break-words whitespace-pre-wrap">{theirs.quoted}</div>
      </details>
    {/if}
    {#if theirs.authentication}
      <p class="mt-2 text-[0.87rem] text-soft">
        Our mail server on its sender: {theirs.authentication}
      </p>
    {/if}
    {#if mayWrite && theirs.kind}
      <p class="mt-2 flex flex-wrap gap-x-3 text-[0.87rem] text-soft">
        <span>This is</span>
        {#each readings as reading (reading.what)}
          {#if reading.kind === theirs.kind && !theirs.unsure}
            <b class="text-ink">{reading.words}</b>
          {:else}
            <HouseButton weight="quiet" onclick={() => onread(theirs.mailId, reading.what)}
              >{reading.words}</HouseButton
            >
          {/if}
        {/each}
      </p>
    {/if}
  {/if}
</article>
