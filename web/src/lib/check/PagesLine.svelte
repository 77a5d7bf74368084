<script lang="ts">
  import { count } from '$lib/format/numbers';
  import { manyLetters } from '$lib/format/paper';
  import type { PageCount } from './pages.svelte';
  import { sumWords } from './paperSum';

  interface Props {
    pages: PageCount;
  }

  let { pages }: Props = $props();
  const act = 'min-h-[24px] font-semibold text-kelp hover:underline';
  const shown = $derived(pages.sum || pages.uncounted || pages.progress || pages.trouble);
</script>

{#if shown}
  <p
    class="flex flex-none flex-wrap items-baseline gap-x-3 border-t border-line-soft px-3.5 py-1 text-[0.87rem] text-soft"
    aria-live="polite"
    data-pages
  >
    {#if pages.progress}
      {count(pages.progress.checked)} of {manyLetters(pages.progress.of)} laid on their pages
      <button type="button" class={act} onclick={() => pages.stop()}>Stop</button>
    {:else if pages.sum}
      {sumWords(pages.sum)}
    {:else}
      {#if pages.trouble}<span class="text-brick">The pages could not be counted.</span>{/if}
      <button type="button" class={act} onclick={() => pages.count()}
        >Count the pages{pages.uncounted ? ` of ${manyLetters(pages.uncounted)}` : ''}</button
      >
    {/if}
  </p>
{/if}
