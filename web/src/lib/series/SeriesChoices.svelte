<script lang="ts">
  import { topicsQuery } from '$lib/api/queries';
  import type { SeriesBody, SeriesView } from '$lib/api/types';
  import { createQuery } from '@tanstack/svelte-query';
  import { Input, Select } from 'flowbite-svelte';
  import { bodyOfSeries } from './series';

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
      items={(topics.data ?? []).map((t) => ({ value: t.id, name: t.name }))}
      bind:value={() => series.topicId, (topicId) => set({ topicId })}
    />
  </label>
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
  <p class="text-[0.87rem] text-soft">
    And always for whoever leaves the topic, asks not to be written to, or whose mail comes back for
    good.
  </p>
  <label class={line}>
    <input
      type="checkbox"
      checked={series.ownClock}
      onchange={(e) => set({ ownClock: e.currentTarget.checked })}
    /> on each person’s own clock
  </label>
  <label class={line}>
    <input
      type="checkbox"
      checked={series.againDays !== null}
      onchange={(e) => set({ againDays: e.currentTarget.checked ? 365 : null })}
    />
    may come in again
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
