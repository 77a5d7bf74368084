<script lang="ts">
  import type { Look, Topic } from '$lib/api/types';
  import { wallTime, zoneCity } from '$lib/format/dates';
  import { messages } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';
  import { Checkbox, Select } from 'flowbite-svelte';
  import type { BenchState } from './bench.svelte';

  interface Props {
    bench: BenchState;
    look: Look | undefined;
    topics: Topic[];
    editable: boolean;
    ondiscard: () => void;
  }

  let { bench, look, topics, editable, ondiscard }: Props = $props();

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
  <fieldset disabled={!editable} class="flex flex-col gap-2">
    <legend class="mb-1.5 font-heading font-bold">Counting and leaving</legend>
    <Checkbox
      checked={bench.countOpens}
      onchange={(event) => {
        bench.countOpens = event.currentTarget.checked;
        bench.changed();
      }}>count opens</Checkbox
    >
    <Checkbox
      checked={bench.countClicks}
      onchange={(event) => {
        bench.countClicks = event.currentTarget.checked;
        bench.changed();
      }}>count followed links</Checkbox
    >
    <label class="mt-1 flex items-center gap-2 whitespace-nowrap">
      Readers can leave
      <Select
        placeholder=""
        items={topics.map((t) => ({ value: t.id, name: t.name }))}
        value={bench.topicId}
        onchange={(event) => {
          bench.topicId = Number(event.currentTarget.value);
          bench.changed();
        }}
      />
    </label>
  </fieldset>
</section>
