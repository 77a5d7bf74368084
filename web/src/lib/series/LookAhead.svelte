<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { calendarDay } from '$lib/format/dates';
  import { count, people } from '$lib/format/numbers';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { dayWords, largest, overCap } from './outlook';

  interface Props {
    open: boolean;
    series: number;
  }

  let { open = $bindable(), series }: Props = $props();

  const ahead = createQuery(() => ({
    queryKey: ['series', series, 'outlook'],
    queryFn: () =>
      answer(api.GET('/api/series/{id}/outlook', { params: { path: { id: series } } })),
    enabled: open,
    gcTime: 0
  }));
  const outlook = $derived(ahead.data?.outlook);
  const most = $derived(largest(outlook?.days ?? []));
</script>

<Ask bind:open title="The next four weeks" wide>
  {#if ahead.error}
    <Trouble error={ahead.error} onretry={() => ahead.refetch()} />
  {:else if outlook}
    <p class="mb-2">
      {people(outlook.people)}
      {outlook.people === 1 ? 'is' : 'are'} in it{outlook.looked < outlook.people
        ? `; ${count(outlook.looked)} of them, drawn by lot, stand for all`
        : ''}.
      {#if outlook.inOtherSeries > 0}{people(outlook.inOtherSeries)} in another series too.{/if}
      {#if outlook.inMailings > 0}To {people(outlook.inMailings)} something else is still to leave.{/if}
    </p>
    {#each outlook.amiss as amiss (amiss.place + amiss.why)}
      <p class="rounded-md bg-ochre-pale px-3 py-1 text-ochre">
        {amiss.place === 0 ? 'Nothing reaches' : `Step ${amiss.place} does not leave to`}
        {people(amiss.people)}: {amiss.why}.
      </p>
    {/each}
    {#if outlook.days.length === 0}
      <p class="mt-2 text-soft">Nothing leaves in that time.</p>
    {:else}
      <table class="mt-3 w-full text-[0.93rem]">
        <caption class="sr-only">Messages a day</caption>
        <thead class="text-left text-[0.85rem] text-soft">
          <tr><th>Day</th><th class="w-1/2">Messages</th><th>Of which</th></tr>
        </thead>
        <tbody>
          {#each outlook.days as day (day.day)}
            <tr class="border-t border-line-soft align-top">
              <th class="py-1 pe-3 text-left font-normal whitespace-nowrap"
                >{calendarDay(day.day)}</th
              >
              <td class="py-1 pe-3">
                <span class="flex items-center gap-2">
                  <span
                    class={`h-3 rounded-sm ${overCap(day, ahead.data?.dailyCap ?? null) ? 'bg-ochre' : 'bg-kelp-mid'}`}
                    style={`width:${(70 * (day.messages + day.others)) / most}%`}
                  ></span>
                  {count(day.messages)}
                </span>
                {#if day.others > 0}
                  <span class="block text-[0.85rem] text-soft"
                    >and {count(day.others)} of others</span
                  >
                {/if}
                {#if overCap(day, ahead.data?.dailyCap ?? null)}
                  <span class="block text-[0.85rem] text-ochre">
                    {count(ahead.data?.dailyCap ?? 0)} leave a day; the rest waits
                  </span>
                {/if}
              </td>
              <td class="py-1 text-soft">{dayWords(day)}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
  {/if}
  {#snippet actions()}
    <HouseButton weight="main" first onclick={() => (open = false)}>Close</HouseButton>
  {/snippet}
</Ask>
