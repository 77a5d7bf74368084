<script lang="ts">
  import { letterheadsQuery } from '$lib/api/queries';
  import type { Look } from '$lib/api/types';
  import { wallTime, zoneCity } from '$lib/format/dates';
  import { messages } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import type { BenchState } from './bench.svelte';
  import { countingWords, voiceWords } from './sending';

  interface Props {
    bench: BenchState;
    look: Look | undefined;
    editable: boolean;
    ondiscard: () => void;
    onoptions: () => void;
  }

  let { bench, look, editable, ondiscard, onoptions }: Props = $props();

  const letterheads = createQuery(letterheadsQuery);
  const paper = $derived(
    bench.letterheadId === null
      ? 'Without a letterhead'
      : `On the letterhead “${letterheads.data?.find((l) => l.id === bench.letterheadId)?.name ?? '…'}”`
  );
  const zone = $derived(zoneCity(session.zone));
  const leave = $derived(
    bench.startWall
      ? `${messages(look?.ready ?? 0)} leave from ${wallTime(bench.startWall)}, ${zone} time, one after another.`
      : `${messages(look?.ready ?? 0)} leave as soon as the release is no longer held, one after another.`
  );

  function setStart(value: string) {
    bench.startWall = value ? `${value}:00` : null;
    bench.changed();
  }

  /** Nine o'clock on the next day: when most people who write want it. */
  function tomorrowAtNine(): string {
    const tomorrow = new Date(Date.now() + 86_400_000);
    return `${new Intl.DateTimeFormat('sv-SE', { timeZone: session.zone }).format(tomorrow)}T09:00`;
  }
</script>

<section
  class="panel grid flex-none grid-cols-3 gap-6 px-4 py-3 max-md:grid-cols-1"
  aria-label="Run sheet"
>
  <fieldset disabled={!editable}>
    <legend class="mb-1.5 font-heading font-bold">Start</legend>
    <label class="flex items-center gap-2 py-0.5">
      <input
        type="radio"
        name="start"
        class="text-kelp"
        checked={!bench.startWall}
        onchange={() => setStart('')}
      /> now
    </label>
    <label class="flex items-center gap-2 py-0.5">
      <input
        type="radio"
        name="start"
        class="text-kelp"
        checked={!!bench.startWall}
        onchange={() => setStart(tomorrowAtNine())}
      /> at a day and time
    </label>
    {#if bench.startWall}
      <div class="flex flex-wrap items-center gap-2 py-0.5 ps-6">
        <input
          type="datetime-local"
          class="rounded-md border-line bg-card px-2 py-0.5 disabled:text-soft"
          aria-label={`Day and time, ${zone} time`}
          value={bench.startWall.slice(0, 16)}
          onchange={(event) => setStart(event.currentTarget.value)}
        />
        <span class="text-soft">{zone} time</span>
      </div>
    {/if}
  </fieldset>
  <div>
    <h2 class="mb-1.5 text-[1rem]">Run sheet</h2>
    <p>{leave}</p>
    <p class="text-[0.9rem] text-soft">
      A release is held for a moment first, and can be taken back. Who replies, leaves or comes back
      shows in Responses.
      {#if editable}
        <button type="button" class="text-brick hover:underline" onclick={ondiscard}
          >Discard this draft</button
        >
      {/if}
    </p>
  </div>
  <div>
    <h2 class="mb-1.5 text-[1rem]">How it is sent</h2>
    <ul class="text-[0.95rem]">
      <li>{paper}</li>
      <li>{voiceWords(bench)}</li>
      <li>{countingWords(bench)}</li>
      <li>
        {bench.promotional ? 'Says how to leave the list' : 'Does not say how to leave'}
        {#if bench.private}· private{/if}
      </li>
    </ul>
    {#if editable}
      <button
        type="button"
        class="text-[0.9rem] font-semibold text-kelp hover:underline"
        onclick={onoptions}>Change</button
      >
    {/if}
  </div>
</section>
