<script lang="ts">
  import { answer, api, send } from '$lib/api/client';
  import type { DayOff } from '$lib/api/types';
  import { calendarDay, isoDay } from '$lib/format/dates';
  import { now } from '$lib/format/now';
  import { count } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';
  import DayField from '$lib/ui/DayField.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';

  interface Props {
    mayChange: boolean;
  }

  let { mayChange }: Props = $props();

  const queries = useQueryClient();
  const query = createQuery(() => ({
    queryKey: ['days-off'],
    queryFn: () => answer(api.GET('/api/sending/days-off'))
  }));
  let day = $state('');
  let name = $state('');
  let file = $state<HTMLInputElement>();

  const today = isoDay(now(), session.zone);
  const coming = $derived((query.data ?? []).filter((d) => d.day >= today));

  async function put(days: DayOff[]) {
    try {
      const saved = await answer(api.PUT('/api/sending/days-off', { body: days }));
      queries.setQueryData(['days-off'], saved);
      return true;
    } catch (error) {
      notices.fail(error);
      return false;
    }
  }

  async function add(event: SubmitEvent) {
    event.preventDefault();
    if (!day) return notices.fail(new Error('Say which day.'));
    if (await put([...(query.data ?? []), { day, name }])) name = day = '';
  }

  async function remove(gone: DayOff) {
    const before = query.data ?? [];
    if (await put(before.filter((d) => d.day !== gone.day))) {
      notices.say(`${gone.name} is no day off any more.`, () => void put(before));
    }
  }

  async function take(chosen: File | undefined) {
    if (!chosen) return;
    try {
      const path = '/api/sending/days-off/import';
      const read = await send(path, 'application/octet-stream', chosen);
      const days = (await read.json()) as DayOff[];
      await queries.invalidateQueries({ queryKey: ['days-off'] });
      notices.say(`${count(days.length)} days off are in this calendar.`);
    } catch (error) {
      notices.fail(error);
    } finally {
      if (file) file.value = '';
    }
  }
</script>

<section class="panel p-4" aria-label="Days off">
  <div class="mb-2 flex items-center justify-between">
    <h2 class="text-[1rem]">Days off</h2>
    {#if mayChange}
      <HouseButton onclick={() => file?.click()}>From a calendar (.ics)…</HouseButton>
      <input
        bind:this={file}
        type="file"
        accept=".ics,text/calendar"
        class="hidden"
        aria-label="Calendar file"
        onchange={(e) => take(e.currentTarget.files?.[0])}
      />
    {/if}
  </div>
  <ul class="mb-3 max-h-80 overflow-y-auto">
    {#each coming as off (off.day)}
      <li class="flex min-h-8 items-center gap-3 border-b border-line-soft">
        <span class="w-28">{calendarDay(off.day)}</span>
        <span class="flex-1">{off.name}</span>
        {#if mayChange}
          <button
            type="button"
            class="min-h-[26px] text-[0.9rem] text-soft hover:text-brick hover:underline"
            aria-label={`Remove ${off.name}, ${calendarDay(off.day)}`}
            onclick={() => remove(off)}>Remove</button
          >
        {/if}
      </li>
    {:else}
      <li class="text-soft">None: messages may leave on every day.</li>
    {/each}
  </ul>
  {#if mayChange}
    <form class="flex flex-wrap gap-2" onsubmit={add}>
      <DayField label="Day" value={day} onchange={(d) => (day = d)} />
      <input
        type="text"
        required
        class="min-w-32 flex-1 rounded-md border-line bg-card px-2 py-1"
        placeholder="What for"
        aria-label="What for"
        bind:value={name}
      />
      <HouseButton type="submit">Add</HouseButton>
    </form>
  {/if}
</section>
