<script lang="ts">
  import { topicItems } from '$lib/house/topics';
  import { topicsQuery } from '$lib/api/queries';
  import type { SeriesBody, SeriesView } from '$lib/api/types';
  import { createQuery } from '@tanstack/svelte-query';
  import { Input, Select } from 'flowbite-svelte';
  import HoursChoice from '$lib/plan/HoursChoice.svelte';
  import PartsChoice from './PartsChoice.svelte';
  import { bodyOfSeries, officeHours } from './series';

  interface Props {
    series: SeriesView;
    mayChange: boolean;
    onsave: (body: SeriesBody) => void;
  }

  let { series, mayChange, onsave }: Props = $props();
  const topics = createQuery(topicsQuery);
  const set = (changed: Partial<SeriesBody>) => onsave({ ...bodyOfSeries(series), ...changed });
  const line = 'flex min-h-[26px] items-center gap-2 max-md:min-h-[44px]';
</script>

<fieldset class="flex min-h-0 flex-col gap-2.5 overflow-y-auto p-3.5" disabled={!mayChange}>
  <label class="flex flex-col gap-1">
    <span class="text-soft">Name</span>
    <Input
      value={series.name}
      maxlength={200}
      onchange={(e: Event) => set({ name: (e.currentTarget as HTMLInputElement).value })}
    />
  </label>
  <label class="flex flex-col gap-1">
    <span class="text-soft">Topic, which people can leave</span>
    <Select
      placeholder=""
      items={topicItems(topics.data, series.topicId)}
      bind:value={() => series.topicId, (topicId) => set({ topicId })}
    />
  </label>
  <p class="pt-1 font-semibold">Who comes in by themselves</p>
  <PartsChoice
    label="Who comes in by themselves"
    parts={series.enters}
    none="nobody"
    onchange={(enters) => set({ enters })}
  />
  {#if series.enters.length}
    <p class="text-[0.87rem] text-soft">
      Whoever comes to be among them comes in within minutes, while the series is active.
    </p>
  {/if}
  <p class="pt-1 font-semibold">It ends for somebody who</p>
  <label class={line}>
    <input
      type="checkbox"
      checked={series.endsOnReply}
      onchange={(e) => set({ endsOnReply: e.currentTarget.checked })}
    /> replies
  </label>
  <label class={line}>
    <input
      type="checkbox"
      checked={series.endsOnClick}
      onchange={(e) => set({ endsOnClick: e.currentTarget.checked })}
    /> follows a link
  </label>
  <div class="flex flex-wrap items-center gap-x-3 gap-y-1">
    <span>or comes to be among</span>
    <PartsChoice
      label="It ends for who comes to be among"
      parts={series.ends}
      none="nobody"
      onchange={(ends) => set({ ends })}
    />
  </div>
  <p class="text-[0.87rem] text-soft">
    And always for whoever leaves the topic, asks not to be written to, or whose mail comes back for
    good.
  </p>
  <p class="pt-1 font-semibold">Its messages leave</p>
  <label class={line}>
    <input
      type="checkbox"
      checked={series.hours !== null}
      onchange={(e) => set({ hours: e.currentTarget.checked ? officeHours() : null })}
    />
    only in certain hours
  </label>
  {#if series.hours}
    <div class="ps-6">
      <HoursChoice hours={series.hours} onchange={(hours) => hours.length && set({ hours })} />
    </div>
  {/if}
  <label class={line}>
    <input
      type="checkbox"
      checked={series.ownClock}
      onchange={(e) => set({ ownClock: e.currentTarget.checked })}
    /> by each person’s own clock
  </label>
  <label class={line}>
    <input
      type="checkbox"
      checked={series.againDays !== null}
      onchange={(e) => set({ againDays: e.currentTarget.checked ? 365 : null })}
    />
    People may come in again
  </label>
  {#if series.againDays !== null}
    <label class={`${line} ps-6`}>
      after
      <input
        type="number"
        class="h-8 w-20 rounded-md border-line bg-card px-2 py-0"
        aria-label="Days until somebody may come in again"
        min={0}
        max={3650}
        value={series.againDays}
        onchange={(e) => set({ againDays: Number(e.currentTarget.value) })}
      /> days
    </label>
  {/if}
</fieldset>
