<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { count, percent } from '$lib/format/numbers';
  import { UNTOLD } from '$lib/live/live';
  import { createQuery } from '@tanstack/svelte-query';

  interface Props {
    mailingId: number;
    /** Shows the people of one way. */
    onopen: (way: string) => void;
  }

  let { mailingId, onopen }: Props = $props();

  const groups = createQuery(() => ({
    queryKey: ['responses', 'view', mailingId, 'groups', 'WAY'],
    queryFn: () =>
      answer(
        api.GET('/api/responses/{mailing}/groups', {
          params: { path: { mailing: mailingId }, query: { by: 'WAY' } }
        })
      ),
    refetchInterval: UNTOLD
  }));
  const ways = $derived(groups.data ?? []);
</script>

{#if ways.length > 1}
  <ul class="-mt-1 flex flex-wrap gap-x-6 gap-y-1 text-[0.93rem] text-soft" aria-label="By way">
    {#each ways as way (way.value)}
      <li>
        <button
          type="button"
          class="min-h-[24px] font-semibold text-kelp hover:underline"
          onclick={() => onopen(way.value)}>{way.label}</button
        >
        {count(way.delivered)} delivered{#if way.readShare}, opened
          <strong class="text-ink">{percent(way.readShare.share)}</strong
          >{/if}{#if way.repliedShare}, replied
          <strong class="text-ink">{percent(way.repliedShare.share)}</strong>{/if}
      </li>
    {/each}
  </ul>
{/if}
