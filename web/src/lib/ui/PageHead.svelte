<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    title: string;
    /** One sentence on where things stand. */
    words?: string;
    actions?: Snippet;
  }

  let { title, words, actions }: Props = $props();
</script>

<svelte:head><title>{title} · Jemble</title></svelte:head>

<div class="flex min-h-[36px] flex-none flex-wrap items-center gap-x-4 gap-y-2">
  <h1 class="text-[1.4rem]">{title}</h1>
  {#if words}<p class="text-soft">{words}</p>{/if}
  {#if actions}<div class="ms-auto flex flex-wrap gap-2">{@render actions()}</div>{/if}
</div>
