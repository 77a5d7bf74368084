<script lang="ts">
  interface Props {
    /** What went wrong. */
    error: unknown;
    onretry?: () => void;
  }

  let { error, onretry }: Props = $props();
</script>

<div class="m-3 rounded-lg bg-brick-pale px-3.5 py-2.5" role="alert">
  {error instanceof Error ? error.message : 'Something went wrong.'}
  {#if onretry}
    <button type="button" class="ms-2 font-semibold text-brick" onclick={onretry}>Try again</button>
  {/if}
</div>
