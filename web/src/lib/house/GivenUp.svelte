<script lang="ts">
  interface Props {
    name: string;
    retired: boolean;
    mayChange: boolean;
    onretire: (retired: boolean) => void;
  }

  let { name, retired, mayChange, onretire }: Props = $props();
</script>

{#if retired}<span class="text-[0.9rem] text-soft">not used any more</span>{/if}
{#if mayChange}
  <button
    type="button"
    class="min-h-6 min-w-6 text-kelp hover:underline"
    aria-label={retired ? `Use ${name} again` : `Stop using ${name}`}
    onclick={() => onretire(!retired)}>{retired ? 'Use again' : 'Stop using'}</button
  >
{/if}
