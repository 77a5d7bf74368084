<script lang="ts">
  import type { MergeFieldName } from '$lib/api/types';
  import MergePicker from './MergePicker.svelte';
  import PassagePicker from './PassagePicker.svelte';
  import type { Hints, Picking } from './picking';

  interface Props {
    picking: Picking;
    fields: MergeFieldName[];
    hints: Hints;
    onfield: (inside: string) => void;
    onpassage: (inside: string) => void;
    onbrace: () => void;
    onremove: () => void;
    onclose: () => void;
  }

  let { picking, fields, hints, onfield, onpassage, onbrace, onremove, onclose }: Props = $props();
  const same = $derived({ fields, hints, current: picking.inside, onremove, onclose });
</script>

<div class="absolute z-30" style:left={`${picking.x}px`} style:top={`${picking.y}px`}>
  {#if picking.kind === 'passage'}
    <PassagePicker {...same} onput={onpassage} />
  {:else}
    <MergePicker {...same} {onbrace} onput={onfield} />
  {/if}
</div>
