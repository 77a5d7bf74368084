<script lang="ts">
  import type { Sheet, SheetLabel, SheetPage } from '$lib/api/types';
  import { labelAt, papers } from './paper';

  interface Props {
    sheet: Sheet;
    serif: boolean;
    page: SheetPage;
    /** By how much all is moved, in millimetres. */
    across: number;
    down: number;
    /** The place of the label that is looked at. */
    chosen: number | null;
    onchoose: (label: SheetLabel) => void;
    /** On the first page of a draft: begins at another label. */
    onbegin?: (place: number) => void;
  }

  let { sheet, serif, page, across, down, chosen, onchoose, onbegin }: Props = $props();

  const paper = $derived(papers[sheet.paper]);
  const places = $derived(
    Array.from({ length: sheet.across * sheet.down }, (_, place) => ({
      place,
      left: labelAt(sheet, place).left + across,
      top: labelAt(sheet, place).top + down,
      label: page.labels.find((l) => l.place === place)
    }))
  );
  const POINT = 25.4 / 72;

  function look(label: SheetLabel): string {
    if (!label.fits) return 'does not fit';
    return label.shrunk ? `smaller, ${label.points} points` : '';
  }

  function pressed(event: KeyboardEvent, act: () => void) {
    if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    act();
  }
</script>

<svg
  viewBox={`0 0 ${paper.width} ${paper.height}`}
  class="mx-auto block h-full max-w-full rounded-sm bg-white shadow"
  role="group"
  aria-label={`Page ${page.page + 1} of ${page.pages}`}
>
  {#each places as { place, left, top, label } (place)}
    {#if label}
      <g
        role="button"
        tabindex="0"
        aria-pressed={chosen === place}
        aria-label={`${label.name}, label ${place + 1}${look(label) ? `, ${look(label)}` : ''}`}
        class="label"
        class:chosen={chosen === place}
        class:wrong={!label.fits}
        class:small={label.fits && label.shrunk}
        onclick={() => onchoose(label)}
        onkeydown={(event) => pressed(event, () => onchoose(label))}
      >
        <rect x={left} y={top} width={sheet.width} height={sheet.height} rx="1.5" />
        {#key `${label.personId} ${label.words}`}
          {#each label.lines as line, i (i)}
            <text
              x={left + line.left}
              y={top + line.baseline}
              font-size={label.points * POINT}
              textLength={line.width || undefined}
              lengthAdjust="spacingAndGlyphs"
              direction="ltr"
              class:serif>{line.text}</text
            >
          {/each}
        {/key}
        {#if label.own}
          <path
            d={`M${left + sheet.width - 5} ${top + 0.4}h4.6v4.6z`}
            class="own"
            aria-label="changed for this run"
          />
        {/if}
      </g>
    {:else}
      <rect x={left} y={top} width={sheet.width} height={sheet.height} rx="1.5" class="free" />
    {/if}
    {#if onbegin && page.page === 0}
      <g
        role="button"
        tabindex="0"
        class="begin"
        aria-label={`Begin at label ${place + 1}`}
        onclick={() => onbegin(place)}
        onkeydown={(event) => pressed(event, () => onbegin(place))}
      >
        <title>Begin at label {place + 1}</title>
        <rect
          x={left + sheet.width - 8}
          y={top + sheet.height - 6}
          width="8"
          height="6"
          rx="1"
          class="corner"
        />
        <text x={left + sheet.width - 4} y={top + sheet.height - 1.8} class="number"
          >{place + 1}</text
        >
      </g>
    {/if}
  {/each}
</svg>

<style>
  rect {
    fill: transparent;
    stroke: #ded8c9;
    stroke-width: 0.25;
  }
  text {
    fill: #24271f;
    font-family: 'Noto Sans', 'Public Sans Variable', sans-serif;
    pointer-events: none;
  }
  .serif {
    font-family: 'Literata Variable', serif;
  }
  .label {
    cursor: pointer;
  }
  .label:hover rect {
    fill: #f4f1e8;
  }
  .label:focus-visible {
    outline: none;
  }
  .label:focus-visible rect,
  .chosen rect {
    stroke: #46551f;
    stroke-width: 0.8;
  }
  .small rect {
    fill: #f6ead0;
  }
  .wrong rect {
    fill: #f3d8cf;
  }
  .free {
    stroke-dasharray: 1.2 1.2;
  }
  .own {
    fill: #8a2e5a;
  }
  .begin {
    cursor: pointer;
  }
  .corner {
    stroke: none;
  }
  .number {
    fill: #66675c;
    font-size: 3px;
    text-anchor: middle;
  }
  .begin:hover .corner,
  .begin:focus-visible .corner {
    fill: #46551f;
  }
  .begin:hover .number,
  .begin:focus-visible .number {
    fill: #fffefb;
  }
  .begin:focus-visible {
    outline: none;
  }
</style>
