<script lang="ts">
  import type { SeriesView } from '$lib/api/types';
  import FillBlanks from './FillBlanks.svelte';

  interface Props {
    series: SeriesView;
    mayChange: boolean;
  }

  let { series, mayChange }: Props = $props();
  let filling = $state(false);
  let all = $state(false);
  const FEW = 3;
  const shown = $derived(all ? series.blockers : series.blockers.slice(0, FEW));
  const blanks = $derived(series.blockers.some((blocker) => blocker.includes('Fill in [')));
  const act = 'min-h-[26px] font-semibold text-kelp hover:underline max-md:min-h-[44px]';
</script>

<div class="flex flex-none flex-wrap items-start gap-x-6 rounded-lg bg-ochre-pale px-3.5 py-2">
  <ul class="min-w-0 flex-1" aria-label="What stands in the way of activation">
    {#each shown as blocker (blocker)}<li>{blocker}</li>{/each}
    {#if series.blockers.length > FEW}
      <li>
        <button type="button" class={act} onclick={() => (all = !all)}
          >{all ? 'Show fewer' : `and ${series.blockers.length - FEW} more`}</button
        >
      </li>
    {/if}
  </ul>
  {#if blanks && mayChange}
    <button type="button" class={act} onclick={() => (filling = true)}>Fill in the blanks</button>
  {/if}
</div>
<FillBlanks bind:open={filling} series={series.id} />
