<script lang="ts">
  import type { LetterheadDraft } from '$lib/api/types';
  import { Select } from 'flowbite-svelte';
  import { colours, contrast } from './letterhead';

  interface Props {
    draft: LetterheadDraft;
  }

  let { draft = $bindable() }: Props = $props();
  /** WCAG 2.2, 1.4.3: words of this size need 4.5 to 1. */
  const poor = $derived(
    [
      { of: 'The words above', ratio: contrast(draft.bandInk, draft.band) },
      { of: 'The words', ratio: contrast(draft.ink, draft.paper) },
      { of: 'Links', ratio: contrast(draft.accent, draft.paper) }
    ].filter((c) => c.ratio < 4.5)
  );
</script>

<div class="grid grid-cols-2 gap-x-4 gap-y-2">
  {#each colours as colour (colour.name)}
    <label class="flex items-center gap-2">
      <input
        type="color"
        class="size-7 flex-none cursor-pointer rounded border border-line bg-card p-0.5"
        bind:value={draft[colour.name]}
      />
      {colour.words}
    </label>
  {/each}
  <label class="col-span-2 flex items-center gap-2">
    Typeface
    <Select
      placeholder=""
      class="w-auto"
      items={[
        { value: 'SERIF', name: 'with serifs' },
        { value: 'SANS', name: 'without serifs' }
      ]}
      bind:value={draft.typeface}
    />
  </label>
</div>
{#each poor as p (p.of)}
  <p class="rounded-md bg-ochre-pale px-2.5 py-1 text-[0.9rem] text-ochre">
    {p.of} can hardly be read: {p.ratio.toFixed(1)} to 1, where 4.5 is wanted.
  </p>
{/each}
