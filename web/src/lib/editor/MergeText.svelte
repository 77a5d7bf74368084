<script lang="ts">
  import { pieces } from './mergeText';

  interface Props {
    text: string;
  }

  let { text }: Props = $props();
</script>

{#each pieces(text) as piece, i (i)}{#if piece.merged}<span class="text-madder">{piece.words}</span
    >{:else}{piece.words}{/if}{/each}
