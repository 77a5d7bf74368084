<script lang="ts">
  import { tick, type Snippet } from 'svelte';

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
  let root = $state<HTMLDivElement>();
  const GAP = 4;

  function close() {
    if (!open) return;
    open = false;
    root?.querySelector<HTMLElement>('button')?.focus();
    onclose?.();
  }

  // Closed from within, its button has the focus again; nothing falls to the page.
  $effect(() => {
    if (!open) return;
    return () =>
      void tick().then(() => {
        if (document.activeElement === document.body) {
          root?.querySelector<HTMLElement>('button')?.focus();
        }
      });
  });

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Escape' && open) {
      event.stopPropagation();
      close();
    }
  }

  /** A press elsewhere closes it and is not swallowed. */
  function onpointerdown(event: PointerEvent) {
    if (open && !root?.contains(event.target as Node)) {
      open = false;
      onclose?.();
    }
  }

  /** Above everything and cut off by nothing, beside its button as long as that can be seen. */
  function place(node: HTMLElement) {
    const set = () => {
      // What is shown may be taken off the screen while it moves.
      if (!root) return;
      const at = root.getBoundingClientRect();
      const x = right ? at.right - node.offsetWidth : at.left;
      const y = up ? at.top - node.offsetHeight - GAP : at.bottom + GAP;
      node.style.left = `${within(x, innerWidth - node.offsetWidth)}px`;
      node.style.top = `${within(y, innerHeight - node.offsetHeight)}px`;
    };
    node.showPopover();
    set();
    const grown = new ResizeObserver(set);
    grown.observe(node);
    addEventListener('scroll', set, true);
    return () => {
      grown.disconnect();
      removeEventListener('scroll', set, true);
    };
  }

  function within(value: number, most: number): number {
    return Math.max(GAP, Math.min(value, most - GAP));
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
      popover="manual"
      aria-label={label}
      class="panel fixed inset-auto m-0 whitespace-normal max-h-[calc(100dvh-1rem)] w-max max-w-[min(24rem,92vw)] min-w-56 overflow-y-auto p-3 text-ink shadow-lg"
      {@attach place}
      {@attach focusFirst}
    >
      {@render children()}
    </div>
  {/if}
</div>
