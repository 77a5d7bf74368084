<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    open: boolean;
    /** What it is, for those who cannot see it. */
    label: string;
    /** The button that opens it; gets the focus back. */
    trigger: Snippet<[() => void]>;
    children: Snippet;
    onclose?: () => void;
    /** Opens towards the left, for what stands at the right of the screen. */
    right?: boolean;
    /** Opens upwards, for what stands at the foot of the screen. */
    up?: boolean;
  }

  let {
    open = $bindable(),
    label,
    trigger,
    children,
    onclose,
    right = false,
    up = false
  }: Props = $props();
  let root: HTMLDivElement;

  function close() {
    if (!open) return;
    open = false;
    root.querySelector<HTMLElement>('button')?.focus();
    onclose?.();
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Escape' && open) {
      event.stopPropagation();
      close();
    }
  }

  /** A press elsewhere closes it and is not swallowed. */
  function onpointerdown(event: PointerEvent) {
    if (open && !root.contains(event.target as Node)) {
      open = false;
      onclose?.();
    }
  }

  function focusFirst(node: HTMLElement) {
    const first = node.querySelector<HTMLElement>('[data-first]');
    (first ?? node.querySelector<HTMLElement>('input, select, button'))?.focus();
  }
</script>

<svelte:window {onpointerdown} />

<!-- The keys belong to what is inside. -->
<!-- svelte-ignore a11y_no_static_element_interactions -->
<div class="relative" bind:this={root} {onkeydown}>
  {@render trigger(() => (open ? close() : (open = true)))}
  {#if open}
    <div
      role="dialog"
      aria-label={label}
      class={`panel absolute z-30 w-max max-w-[min(24rem,92vw)] min-w-56 p-3 text-ink shadow-lg ${right ? 'right-0' : 'left-0'} ${up ? 'bottom-full mb-1' : 'top-full mt-1'}`}
      {@attach focusFirst}
    >
      {@render children()}
    </div>
  {/if}
</div>
