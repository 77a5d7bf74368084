<script lang="ts">
  interface Props {
    label: string;
    order: 'none' | 'ascending' | 'descending';
    width?: number;
    class?: string;
    /** Whether it gives way where there is too little room for all. */
    gives?: boolean;
    /** How wide it stays even then, in pixels; without a number, as wide as any. */
    least?: number;
    /** Numbers stand at the right, and so does their head. */
    right?: boolean;
    onsort: () => void;
    /** Called with the new width when the edge is dragged or moved by key. */
    onwiden?: (width: number) => void;
  }

  let {
    label,
    order,
    width,
    class: extra = '',
    gives = false,
    least,
    right = false,
    onsort,
    onwiden
  }: Props = $props();

  const narrowest = 60;
  const widest = 600;
  let head: HTMLTableCellElement;
  let dragged = $state<number | null>(null);

  const clamp = (wide: number) => Math.max(narrowest, Math.min(widest, wide));

  function drag(event: PointerEvent & { currentTarget: HTMLElement }) {
    event.preventDefault();
    const edge = event.currentTarget;
    const begun = event.clientX;
    const wide = head.offsetWidth;
    edge.setPointerCapture(event.pointerId);
    edge.onpointermove = (move) => (dragged = clamp(wide + move.clientX - begun));
    edge.onpointerup = () => {
      edge.onpointermove = edge.onpointerup = null;
      if (dragged !== null) onwiden?.(dragged);
      dragged = null;
    };
  }

  function onkeydown(event: KeyboardEvent) {
    const step = { ArrowLeft: -20, ArrowRight: 20 }[event.key];
    if (!step) return;
    event.preventDefault();
    onwiden?.(clamp(head.offsetWidth + step));
  }
</script>

<th
  bind:this={head}
  scope="col"
  aria-sort={order}
  data-gives-way={gives ? (least ?? '') : undefined}
  class={`group sticky top-0 z-10 bg-card px-2 py-1.5 text-[0.8rem] font-semibold text-soft ${right ? 'text-right' : 'text-left'} ${extra}`}
  style:width={(dragged ?? width) ? `${dragged ?? width}px` : undefined}
>
  <button
    type="button"
    class="whitespace-nowrap hover:text-ink hover:underline"
    title={order === 'ascending' ? 'Sort the other way round' : `Sort by ${label.toLowerCase()}`}
    onclick={onsort}
    >{label}{#if order !== 'none'}<span aria-hidden="true"
        >{order === 'ascending' ? ' ↑' : ' ↓'}</span
      >{/if}</button
  >
  {#if onwiden}
    <!-- A separator that can be moved is a control (ARIA 1.2). -->
    <!-- svelte-ignore a11y_no_noninteractive_element_interactions, a11y_no_noninteractive_tabindex -->
    <span
      role="separator"
      tabindex="0"
      aria-orientation="vertical"
      aria-label={`Width of ${label}`}
      aria-valuenow={width ?? 120}
      aria-valuemin={narrowest}
      aria-valuemax={widest}
      class="absolute top-1 right-0 h-6 w-2 cursor-col-resize border-r border-line opacity-0 group-hover:opacity-100 focus:opacity-100"
      onpointerdown={drag}
      {onkeydown}
    ></span>
  {/if}
</th>
