<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { waysQuery } from '$lib/api/queries';
  import type { Filter } from '$lib/api/types';
  import { count } from '$lib/format/numbers';
  import { takeAll, toBody } from '$lib/list/selection';
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query';
  import { reachedBy } from './reach';

  interface Props {
    /** Who matches. */
    filter: Filter;
    archived: boolean;
  }

  let { filter, archived }: Props = $props();
  let shown = $state(false);
  const ways = createQuery(waysQuery);
  const serves = (channel: string) => (ways.data ?? []).some((way) => way.channel === channel);

  const total = (way: string) => ({
    queryKey: ['people-reached', way, filter, archived],
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }: { signal: AbortSignal }) => {
      const body = toBody(takeAll(), reachedBy(way, filter), archived);
      return (await answer(api.POST('/api/people/tally', { body, signal }))).total;
    }
  });
  const texted = createQuery(() => ({
    ...total('Text message'),
    enabled: shown && serves('TEXT')
  }));
  const notified = createQuery(() => ({ ...total('App'), enabled: shown && serves('APP') }));
</script>

{#if serves('TEXT') || serves('APP')}
  <p class="flex flex-wrap items-baseline gap-x-3 text-[0.9rem] text-soft">
    <label class="flex min-h-[24px] items-center gap-1.5">
      <input type="checkbox" bind:checked={shown} /> Count phones too
    </label>
    {#if shown && texted.data !== undefined}
      <span><strong class="text-ink">{count(texted.data)}</strong> can be texted</span>
    {/if}
    {#if shown && notified.data !== undefined}
      <span
        ><strong class="text-ink">{count(notified.data)}</strong>
        {notified.data === 1 ? 'has' : 'have'} the app</span
      >
    {/if}
  </p>
{/if}
