<script lang="ts">
  import type { Writing } from '$lib/draft/writing.svelte';

  interface Props {
    writing: Writing;
    onreload: () => void;
  }

  let { writing, onreload }: Props = $props();
</script>

{#if writing.kept}
  <p class="rounded-lg bg-ochre-pale px-3.5 py-2" role="status">
    What was written here last could not be saved, and somebody has changed the mailing since.
    <button type="button" class="ms-2 font-semibold text-ochre" onclick={() => writing.putKeptIn()}
      >Put those words in</button
    >
    <button type="button" class="ms-2 text-soft" onclick={() => writing.forgetKept()}
      >Forget them</button
    >
  </p>
{/if}
{#if writing.trouble}
  <p class="rounded-lg bg-brick-pale px-3.5 py-2" role="alert">
    {writing.trouble}
    <button type="button" class="ms-2 font-semibold text-brick" onclick={onreload}>
      Load what is there now
    </button>
  </p>
{/if}
