<script lang="ts">
  import type { CardBody } from '$lib/api/types';
  import { byKey, moved, pictureOf, resized } from './card';

  interface Props {
    card: CardBody;
    /** Which piece of text is worked on. */
    at: number;
  }

  let { card = $bindable(), at = $bindable() }: Props = $props();
  let board: HTMLElement;
  let dragged: { x: number; y: number; sizes: boolean } | null = null;

  function begin(event: PointerEvent, which: number, sizes: boolean) {
    at = which;
    dragged = { x: event.clientX, y: event.clientY, sizes };
    (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
    event.stopPropagation();
  }

  function drag(event: PointerEvent) {
    const words = card.words[at];
    if (!dragged || !words) return;
    const dx = (event.clientX - dragged.x) / board.clientWidth;
    const dy = (event.clientY - dragged.y) / board.clientHeight;
    card.words[at] = dragged.sizes ? resized(words, dx, dy) : moved(words, dx, dy);
    dragged = { ...dragged, x: event.clientX, y: event.clientY };
  }

  function press(event: KeyboardEvent, which: number) {
    const words = card.words[which];
    const next = words && byKey(words, event.key, event.shiftKey);
    if (!next) return;
    event.preventDefault();
    card.words[which] = next;
  }

  const share = (value: number) => `${value * 100}%`;
</script>

<div bind:this={board} class="relative overflow-hidden rounded-md border border-line select-none">
  <img src={pictureOf(card)} alt="" class="block w-full" draggable="false" />
  {#each card.words as words, which (which)}
    <!-- Arrows move it, with Shift they make it larger or smaller: a button would not take them. -->
    <div
      role="button"
      tabindex="0"
      aria-label={`Text ${which + 1}: ${words.text}. Arrows move it, with Shift they change its size`}
      aria-pressed={which === at}
      class={`absolute flex cursor-move touch-none items-center overflow-hidden rounded-sm border-2 border-dashed ${which === at ? 'border-madder' : 'border-soft'}`}
      style={`left:${share(words.left)};top:${share(words.top)};width:${share(words.width)};height:${share(words.height)}`}
      onfocus={() => (at = which)}
      onpointerdown={(e) => begin(e, which, false)}
      onpointermove={drag}
      onpointerup={() => (dragged = null)}
      onkeydown={(e) => press(e, which)}
    >
      <span class="rounded-sm bg-card/85 px-1 text-[0.75rem] text-ink">{which + 1}</span>
      <span
        aria-hidden="true"
        class="absolute right-0 bottom-0 size-5 cursor-nwse-resize touch-none bg-madder"
        onpointerdown={(e) => begin(e, which, true)}
        onpointermove={drag}
        onpointerup={() => (dragged = null)}
      ></span>
    </div>
  {/each}
</div>
