<script lang="ts">
  import type { GroupResult } from '$lib/api/types';
  import { shareWords } from './results';

  interface Props {
    share: GroupResult['readShare'];
  }

  let { share }: Props = $props();
</script>

<!-- The bar is the share, the thin line over its end how sure that is. -->
<span class="flex items-center gap-2">
  {#if share}
    <span
      class="relative h-3 w-24 flex-none rounded-sm bg-line-soft max-lg:hidden"
      aria-hidden="true"
    >
      <span
        class="absolute inset-y-0 start-0 rounded-sm bg-kelp-light"
        style:width={`${share.share * 100}%`}
      ></span>
      <span
        class="absolute top-1/2 h-0.5 -translate-y-1/2 bg-kelp"
        style:left={`${share.low * 100}%`}
        style:width={`${(share.high - share.low) * 100}%`}
      ></span>
    </span>
  {/if}
  <span class="tabular-nums md:whitespace-nowrap">{shareWords(share)}</span>
</span>
