<script lang="ts">
  import DayField from '$lib/ui/DayField.svelte';
  import { answer, api } from '$lib/api/client';
  import type { Person } from '$lib/api/types';
  import { calendarDay } from '$lib/format/dates';
  import { now } from '$lib/format/now';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { useQueryClient } from '@tanstack/svelte-query';
  import { Input } from 'flowbite-svelte';
  import { undo } from './bulk/doing';
  import OfficeChoice from './bulk/OfficeChoice.svelte';

  interface Props {
    person: Person;
    mayChange: boolean;
  }

  let { person, mayChange }: Props = $props();

  const queries = useQueryClient();
  const today = now().toISOString().slice(0, 10);
  let open = $state(false);
  let name = $state('');
  let body = $state('');
  let since = $state(today);

  async function step(work: () => Promise<number | undefined>, words: string) {
    try {
      const act = await work();
      open = false;
      void queries.invalidateQueries();
      notices.say(words, act === undefined ? undefined : () => void undo(queries, act));
    } catch (error) {
      notices.fail(error);
    }
  }

  const begin = () =>
    step(async () => {
      const begun = await answer(
        api.POST('/api/people/{person}/offices', {
          params: { path: { person: person.id } },
          body: { name, body: body || null, since: since || null }
        })
      );
      return begun.act;
    }, `${person.name} holds the office.`);

  const end = (id: number) =>
    step(async () => {
      await answer(
        api.PUT('/api/people/{person}/offices/{id}', {
          params: { path: { person: person.id, id } },
          body: { until: today }
        })
      );
      return undefined;
    }, 'The office has ended today.');
</script>

{#if person.offices.length || mayChange}
  <Panel title="Offices">
    {#snippet aside()}
      {#if mayChange}
        <button
          type="button"
          class="min-h-6 font-semibold text-kelp hover:underline"
          onclick={() => (open = true)}>Add an office</button
        >
      {/if}
    {/snippet}
    <ul class="px-3.5 py-2">
      {#each person.offices as office (office.id)}
        <li class="flex items-baseline gap-3 py-1">
          <span class="flex-1">
            <span class="font-semibold">{office.name}</span>
            <span class="text-[0.87rem] text-soft">
              {[
                office.body,
                office.since && `since ${calendarDay(office.since)}`,
                office.until && `until ${calendarDay(office.until)}`
              ]
                .filter(Boolean)
                .join(' · ')}
            </span>
          </span>
          {#if mayChange && !office.until}
            <HouseButton weight="quiet" onclick={() => end(office.id)}>End it today</HouseButton>
          {/if}
        </li>
      {:else}
        <li class="py-1 text-soft">None held.</li>
      {/each}
    </ul>
  </Panel>
{/if}

<Ask bind:open title={`An office for ${person.name}`}>
  <form
    id="office-form"
    class="grid grid-cols-2 gap-3"
    onsubmit={(event) => {
      event.preventDefault();
      void begin();
    }}
  >
    <OfficeChoice {open} bind:value={name} first />
    <label class="flex flex-col gap-1">
      Body it belongs to
      <Input bind:value={body} maxlength={80} placeholder="Committee" />
    </label>
    <div class="flex flex-col gap-1">
      Since
      <DayField label="Since" value={since} lean="BACK" onchange={(day) => (since = day)} />
    </div>
  </form>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    <HouseButton weight="main" type="submit" form="office-form" disabled={!name}
      >Add the office</HouseButton
    >
  {/snippet}
</Ask>
