<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    title?: string;
    /** A few words or controls at the right of the title. */
    aside?: Snippet;
    children: Snippet;
    class?: string;
    /** Whether what is inside scrolls by itself. */
    scrolls?: boolean;
  }

  let { title, aside, children, class: extra = '', scrolls = false }: Props = $props();
</script>

<section class={`panel flex min-h-0 min-w-0 flex-col overflow-hidden ${extra}`} aria-label={title}>
  {#if title}
    <header
      class="flex min-h-[39px] items-center justify-between gap-3 border-b border-line px-3.5 py-1.5"
    >
      <h2 class="text-[1rem] whitespace-nowrap">{title}</h2>
      <div class="text-right text-[0.85rem] text-soft">{@render aside?.()}</div>
    </header>
  {/if}
  <!-- What scrolls by itself must be reachable by key. -->
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div
    class={`min-h-0 flex-1 ${scrolls ? 'overflow-y-auto' : ''}`}
    tabindex={scrolls ? 0 : undefined}
    role={scrolls ? 'group' : undefined}
    aria-label={scrolls ? title : undefined}
  >
    {@render children()}
  </div>
</section>
