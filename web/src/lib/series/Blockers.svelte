<script lang="ts">
  import type { SeriesView } from '$lib/api/types';
  import FillBlanks from './FillBlanks.svelte';

  interface Props {
    series: SeriesView;
    mayChange: boolean;
  }

  let { series, mayChange }: Props = $props();
  let filling = $state(false);
  const BLANK = ': Fill in [';
  const blanks = $derived(series.blockers.filter((blocker) => blocker.includes(BLANK)));
  const others = $derived(series.blockers.filter((blocker) => !blocker.includes(BLANK)));
  const act = 'min-h-[26px] font-semibold text-kelp hover:underline max-md:min-h-[44px]';
</script>

<div class="flex flex-none flex-wrap items-start gap-x-6 rounded-lg bg-ochre-pale px-3.5 py-2">
  <ul class="min-w-0 flex-1" aria-label="What stands in the way of activation">
    {#if blanks.length}
      <li>
        {blanks.length === 1 ? blanks[0] : `${blanks.length} blanks are to be filled in.`}
      </li>
    {/if}
    {#each others as blocker (blocker)}<li>{blocker}</li>{/each}
  </ul>
  {#if blanks.length && mayChange}
    <button type="button" class={act} onclick={() => (filling = true)}>Fill in the blanks</button>
  {/if}
</div>
<FillBlanks bind:open={filling} series={series.id} />
