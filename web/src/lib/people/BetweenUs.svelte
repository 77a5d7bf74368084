<script lang="ts">
  import type { Happening, Person } from '$lib/api/types';
  import { calendarDay, dayAndTime, dayAndYear } from '$lib/format/dates';
  import { afterName } from '$lib/format/numbers';
  import { moneyWords } from '$lib/list/cell';
  import { happening } from '$lib/response/kinds';
  import SentLetterDialog from '$lib/letter/SentLetterDialog.svelte';
  import { session } from '$lib/session/session.svelte';

  interface Props {
    happenings: Happening[];
    quotes?: Person['quotes'];
  }

  let { happenings, quotes = [] }: Props = $props();
  let looked = $state<number | null>(null);
</script>

{#if happenings.length || quotes.length}
  <ol class="border-s-2 border-line ps-3">
    {#each happenings as step, i (i)}
      {@const told = happening(step.kind)}
      <li class="mb-3 text-[0.93rem]">
        <strong>{told.word}</strong>{afterName(told.after)}“{step.mailing}”
        <span class="block text-soft">
          {step.printRunId === null
            ? dayAndTime(step.at, session.zone)
            : dayAndYear(step.at, session.zone)}
          {#if step.printRunId !== null && step.messageId !== null}
            · <a
              class="text-kelp underline"
              href={`/api/letter-runs/${step.printRunId}/letters/${step.messageId}`}
              target="_blank"
              rel="noopener">as it was printed</a
            >
          {:else if step.printRunId !== null}
            · <a class="text-kelp underline" href={`/paper/${step.printRunId}`}>as it was printed</a
            >
          {:else if step.kind === 'SENT'}
            · <a
              class="whitespace-nowrap text-kelp underline"
              href={`/responses/with/${step.messageId}`}>conversation</a
            >
            ·
            <button
              type="button"
              class="whitespace-nowrap text-kelp underline"
              onclick={() => (looked = step.messageId)}>the letter</button
            >
          {:else if step.detail}
            · {step.detail}
          {/if}
        </span>
      </li>
    {/each}
    {#each quotes as quote (quote.id)}
      <li class="mb-3 text-[0.93rem]">
        <strong>Quote {quote.number}</strong>
        {quote.title}, {moneyWords(quote.total)}
        <span class="block text-soft"
          >{quote.sentOn ? calendarDay(quote.sentOn) : 'not sent'} · {quote.stage}</span
        >
      </li>
    {/each}
  </ol>
{:else}
  <p class="text-[0.93rem] text-soft">Nothing has passed between us yet.</p>
{/if}
<SentLetterDialog bind:messageId={looked} />
