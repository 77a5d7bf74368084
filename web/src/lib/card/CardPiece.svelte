<script lang="ts">
  import type { PlacedWords } from '$lib/api/types';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { Select, Textarea } from 'flowbite-svelte';

  interface Props {
    number: number;
    words: PlacedWords;
    onchange: (words: PlacedWords) => void;
    ondrop: () => void;
  }

  let { number, words, onchange, ondrop }: Props = $props();

  const ALIGN: { value: PlacedWords['align']; name: string }[] = [
    { value: 'LEFT', name: 'left' },
    { value: 'CENTRE', name: 'in the middle' },
    { value: 'RIGHT', name: 'right' }
  ];
</script>

<label class="flex flex-col gap-1">
  Text {number}; {'{{first_name or "friend"}}'} and {'{{years}}'} are filled in for each
  <Textarea
    class="w-full"
    rows={2}
    maxlength={500}
    bind:value={() => words.text, (text) => onchange({ ...words, text: text ?? '' })}
  />
</label>
<div class="flex flex-wrap items-end gap-x-4 gap-y-2">
  <label class="flex flex-col gap-1">
    Largest size
    <input
      type="number"
      class="h-9 w-24 rounded-lg border-line bg-card px-2 py-0"
      min={12}
      max={300}
      value={words.size}
      onchange={(e) => {
        const size = Math.round(Number(e.currentTarget.value));
        onchange({ ...words, size: Math.max(12, Math.min(300, size || 12)) });
      }}
    />
  </label>
  <label class="flex flex-col gap-1">
    Colour
    <input
      type="color"
      class="h-9 w-14 cursor-pointer rounded border border-line bg-card p-0.5"
      bind:value={() => words.colour, (colour) => onchange({ ...words, colour })}
    />
  </label>
  <label class="flex flex-col gap-1">
    Stands
    <Select
      class="w-40"
      placeholder=""
      items={ALIGN}
      bind:value={() => words.align, (align) => onchange({ ...words, align })}
    />
  </label>
  <HouseButton weight="quiet" onclick={ondrop}>Take it away</HouseButton>
</div>
