<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { sendingQuery } from '$lib/api/queries';
  import type { Sending } from '$lib/api/types';
  import HoursChoice from '$lib/plan/HoursChoice.svelte';
  import { DAYS } from '$lib/plan/planWords';
  import { session } from '$lib/session/session.svelte';
  import CapsForm from '$lib/settings/CapsForm.svelte';
  import DaysOff from '$lib/settings/DaysOff.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';

  const queries = useQueryClient();
  const query = createQuery(() => ({ ...sendingQuery(), refetchOnWindowFocus: false }));
  const mayChange = $derived(session.may('SETTINGS'));
  let wanted = $state<Sending | null>(null);
  $effect(() => {
    if (query.data && !wanted) wanted = structuredClone(query.data);
  });

  const working = DAYS.slice(0, 5).map((day) => ({ day, from: 540, to: 1020 }));

  async function save() {
    if (!wanted) return;
    try {
      const body = $state.snapshot(wanted);
      queries.setQueryData(['sending'], await answer(api.PUT('/api/sending', { body })));
      await queries.invalidateQueries({ queryKey: ['plan'] });
      notices.say('Saved; plans keep to it from now on.');
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<svelte:head><title>Hours and caps · Jemble</title></svelte:head>
<PageHead
  title="Hours and caps"
  words={mayChange
    ? 'When messages may leave, and how many a day.'
    : `When messages may leave, and how many a day. ${session.why('SETTINGS')}`}
>
  {#snippet actions()}{#if mayChange}<HouseButton weight="main" onclick={save}>Save</HouseButton
      >{/if}{/snippet}
</PageHead>
{#if wanted}
  <div class="grid grid-cols-3 items-start gap-3 max-lg:grid-cols-1">
    <fieldset class="panel p-4" disabled={!mayChange}>
      <h2 class="mb-2 text-[1rem]">Sending hours</h2>
      <label class="mb-2 flex items-center gap-2">
        <input
          type="checkbox"
          class="rounded text-kelp"
          checked={wanted.hours === null}
          onchange={(e) => wanted && (wanted.hours = e.currentTarget.checked ? null : working)}
        /> Messages may leave at any time
      </label>
      {#if wanted.hours}
        <HoursChoice
          hours={wanted.hours}
          onchange={(hours) => wanted && hours.length && (wanted.hours = hours)}
        />
      {/if}
      <p class="mt-2 text-[0.9rem] text-soft">A mailing can have hours of its own.</p>
    </fieldset>
    <CapsForm bind:sending={wanted} {mayChange} />
    <DaysOff {mayChange} />
  </div>
{/if}
