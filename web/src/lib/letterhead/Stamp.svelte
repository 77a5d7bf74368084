<script lang="ts">
  import type { LetterheadDraft } from '$lib/api/types';
  import { pathOf } from '$lib/picture/pictures';

  interface Props {
    letterhead: LetterheadDraft;
  }

  let { letterhead: l }: Props = $props();
</script>

<!-- A letterhead at the size of a stamp; what it truly looks like is shown in its proof. -->
<span
  class="block overflow-hidden rounded border border-line p-2"
  style:background={l.page}
  aria-hidden="true"
>
  <span class="block" style:background={l.paper}>
    <span class="flex h-7 items-center px-2" style:background={l.band}>
      {#if l.logoKey}<img src={pathOf(l.logoKey)} alt="" class="h-4" />{:else}
        <span class="block h-1.5 w-16 rounded" style:background={l.bandInk}></span>{/if}
    </span>
    <span class="block space-y-1.5 p-2">
      <span class="block h-1 w-4/5 rounded opacity-60" style:background={l.ink}></span>
      <span class="block h-1 w-3/5 rounded opacity-60" style:background={l.ink}></span>
      <span class="block h-1 w-1/4 rounded" style:background={l.accent}></span>
    </span>
  </span>
</span>
