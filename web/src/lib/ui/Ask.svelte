<script lang="ts">
  import { Dialog } from 'flowbite-svelte';
  import type { Snippet } from 'svelte';

  interface Props {
    open: boolean;
    title: string;
    /** What stands in it. */
    children: Snippet;
    /** The buttons, last one the main one. */
    actions?: Snippet;
    wide?: boolean;
  }

  let { open = $bindable(), title, children, actions, wide = false }: Props = $props();
  const id = $props.id();
  let before: Element | null = null;

  $effect.pre(() => {
    if (open) before = document.activeElement;
  });
  // What was used before has the focus again, if it is still there.
  $effect(() => {
    if (open) return () => (before as HTMLElement | null)?.focus?.();
  });
</script>

<!-- Flowbite's dialog does not take its name from its title; here it does. -->
{#if open}
  <Dialog
    bind:open
    aria-labelledby={id}
    dismissable={false}
    transitionParams={{ duration: 0 }}
    class={`m-auto rounded-[10px] border border-line bg-card p-0 text-ink shadow-xl backdrop:bg-slate/40 ${wide ? 'w-[46rem]' : 'w-[32rem]'} max-w-[calc(100vw-1.5rem)] max-h-[calc(100dvh-2rem)] divide-y-0`}
  >
    <h2 {id} class="px-5 pt-4 pb-1 text-[1.2rem]">{title}</h2>
    <div class="px-5 pb-4">{@render children()}</div>
    {#if actions}
      <div class="flex flex-wrap justify-end gap-2 border-t border-line-soft px-5 py-3">
        {@render actions()}
      </div>
    {/if}
  </Dialog>
{/if}
