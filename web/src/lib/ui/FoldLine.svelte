<script lang="ts">
  import type { Snippet } from 'svelte';
  import { folds } from './folds.svelte';

  interface Props {
    /** Under which it is remembered whether it is open. */
    name: string;
    title: string;
    /** What it comes to, in one line. */
    sentence: Snippet;
    /** What stands beside, before the button that opens it. */
    aside?: Snippet;
    /** All of it. */
    children: Snippet;
    class?: string;
  }

  let { name, title, sentence, aside, children, class: extra = '' }: Props = $props();
  const id = $props.id();
  const open = $derived(folds.isOpen(name));
</script>

<section class={`min-w-0 flex-none ${extra}`} aria-label={title}>
  <div class="flex min-h-[39px] items-center gap-x-4 px-3.5 py-1">
    <h2 class="w-16 flex-none text-[1rem]">{title}</h2>
    <div class="min-w-0 flex-1">{@render sentence()}</div>
    {@render aside?.()}
    <button
      type="button"
      class="min-h-[26px] flex-none font-semibold text-kelp hover:underline"
      aria-expanded={open}
      aria-controls={id}
      aria-label={`${open ? 'Fold' : 'Open'} ${title}`}
      onclick={() => folds.set(name, !open)}
      >{open ? 'Fold' : 'Open'} <span aria-hidden="true">{open ? '▾' : '▴'}</span></button
    >
  </div>
  {#if open}
    <div {id} class="border-t border-line-soft px-3.5 py-3">
      {@render children()}
    </div>
  {/if}
</section>
