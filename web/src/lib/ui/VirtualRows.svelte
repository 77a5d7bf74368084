<script lang="ts" generics="T">
  import { createVirtualizer } from '@tanstack/svelte-virtual';
  import { untrack, type Snippet } from 'svelte';
  import type { Attachment } from 'svelte/attachments';

  interface Props {
    rows: T[];
    key: (row: T) => string | number;
    /** How high a row is, in px, until it is measured. */
    height: number;
    /** How much of the place to scroll in is covered at its top, in px, by a head that stays. */
    head?: number;
    /** What a row is: part of a table, or of a list. */
    as: 'tr' | 'li';
    /** The place of the row to be kept in sight; -1 for none. */
    insight?: number;
    /** One row; its element wears what it is given. */
    row: Snippet<[T, Attachment<HTMLElement>]>;
  }

  let { rows, key, height, head = 0, as, insight = -1, row }: Props = $props();

  /** So many rows beyond sight are there, on each side. */
  const BEYOND = 20;
  let above = $state<HTMLElement>();
  const scroller = $derived(above ? scrolls(above) : null);
  const virtualizer = createVirtualizer<HTMLElement, HTMLElement>({
    count: 0,
    getScrollElement: () => null,
    estimateSize: () => untrack(() => height),
    overscan: BEYOND
  });

  $effect(() => {
    const options = {
      count: rows.length,
      getScrollElement: () => scroller,
      getItemKey: (i: number) => key(rows[i]!),
      scrollMargin: above && scroller ? from(above, scroller) : 0,
      scrollPaddingStart: head
    };
    untrack(() => $virtualizer.setOptions(options));
  });

  $effect(() => {
    above?.closest('table')?.setAttribute('aria-rowcount', String(rows.length + 1));
  });

  $effect(() => {
    const place = insight;
    if (place >= 0) untrack(() => $virtualizer.scrollToIndex(place, { align: 'auto' }));
  });

  const shown = $derived($virtualizer.getVirtualItems().filter((item) => item.index < rows.length));
  const margin = $derived($virtualizer.options.scrollMargin);
  const before = $derived((shown[0]?.start ?? margin) - margin);
  const after = $derived($virtualizer.getTotalSize() - ((shown.at(-1)?.end ?? margin) - margin));

  /** The element that scrolls what is in it. */
  function scrolls(inside: HTMLElement): HTMLElement {
    let at = inside.parentElement;
    while (at && !/auto|scroll/.test(getComputedStyle(at).overflowY)) at = at.parentElement;
    return at ?? document.documentElement;
  }

  function from(element: HTMLElement, container: HTMLElement): number {
    const distance = element.getBoundingClientRect().top - container.getBoundingClientRect().top;
    return distance + container.scrollTop;
  }

  function measured(index: number): Attachment<HTMLElement> {
    return (element) => {
      element.dataset.index = String(index);
      // Whoever hears the rows is told their place, since not all of them are there; the head is 1.
      if (as === 'tr') element.setAttribute('aria-rowindex', String(index + 2));
      untrack(() => $virtualizer.measureElement(element));
    };
  }
</script>

<svelte:element this={as} bind:this={above} aria-hidden="true" style:height={`${before}px`}
></svelte:element>
{#each shown as item (item.key)}
  {@render row(rows[item.index]!, measured(item.index))}
{/each}
<svelte:element this={as} aria-hidden="true" style:height={`${Math.max(0, after)}px`}
></svelte:element>
