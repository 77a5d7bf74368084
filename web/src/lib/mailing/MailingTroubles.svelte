<script lang="ts">
  import type { Writing } from '$lib/draft/writing.svelte';

  interface Props {
    bench: Writing;
    onreload: () => void;
  }

  let { bench, onreload }: Props = $props();
</script>

{#if bench.kept}
  <p class="rounded-lg bg-ochre-pale px-3.5 py-2" role="status">
    What was written here last could not be saved, and somebody has changed the mailing since.
    <button type="button" class="ms-2 font-semibold text-ochre" onclick={() => bench.putKeptIn()}
      >Put those words in</button
    >
    <button type="button" class="ms-2 text-soft" onclick={() => bench.forgetKept()}
      >Forget them</button
    >
  </p>
{/if}
{#if bench.trouble}
  <p class="rounded-lg bg-brick-pale px-3.5 py-2" role="alert">
    {bench.trouble}
    <button type="button" class="ms-2 font-semibold text-brick" onclick={onreload}>
      Load what is there now
    </button>
  </p>
{/if}
