<script lang="ts">
  import type { CardBody } from '$lib/api/types';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { withOneMore } from './card';
  import CardPiece from './CardPiece.svelte';

  interface Props {
    card: CardBody;
    at: number;
  }

  let { card = $bindable(), at = $bindable() }: Props = $props();

  const shown = $derived(card.words[at]);

  function add() {
    card = withOneMore(card);
    at = card.words.length - 1;
  }

  function drop() {
    card.words = card.words.filter((_, i) => i !== at);
    at = Math.max(0, at - 1);
  }
</script>

<div
  class="flex flex-wrap items-center gap-x-4 gap-y-1"
  role="group"
  aria-label="Texts on the card"
>
  {#each card.words as words, which (which)}
    <button
      type="button"
      class={`min-h-6 max-w-40 truncate ${which === at ? 'font-bold' : 'text-kelp hover:underline'}`}
      aria-pressed={which === at}
      title={words.text}
      onclick={() => (at = which)}>{which + 1}: {words.text || 'empty'}</button
    >
  {/each}
  {#if card.words.length < 12}
    <HouseButton weight="quiet" onclick={add}>One more text</HouseButton>
  {/if}
</div>
{#if shown}
  <CardPiece
    number={at + 1}
    words={shown}
    onchange={(words) => (card.words[at] = words)}
    ondrop={drop}
  />
{/if}
