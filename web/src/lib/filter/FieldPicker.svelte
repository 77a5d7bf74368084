<script lang="ts">
  import type { FilterField, RelatedFields } from '$lib/api/types';
  import { Input } from 'flowbite-svelte';
  import { relatedWords } from './token';

  interface Props {
    fields: FilterField[];
    /** Records around people that can be asked for; none within such a record. */
    related: RelatedFields[];
    onfield: (field: FilterField) => void;
    onrelated: (related: RelatedFields) => void;
    ongroup: () => void;
  }

  let { fields, related, onfield, onrelated, ongroup }: Props = $props();
  let words = $state('');

  interface Choice {
    words: string;
    choose: () => void;
  }

  const all = $derived<Choice[]>([
    ...fields.map((f) => ({ words: f.label, choose: () => onfield(f) })),
    ...related.map((r) => ({ words: relatedWords(r, 1), choose: () => onrelated(r) })),
    { words: 'a group in brackets', choose: ongroup }
  ]);
  const offered = $derived(
    all.filter((c) => c.words.toLowerCase().includes(words.trim().toLowerCase()))
  );
</script>

<form
  onsubmit={(event) => {
    event.preventDefault();
    offered[0]?.choose();
  }}
>
  <Input
    bind:value={words}
    aria-label="Which field"
    placeholder="A field, or quote, task, office …"
    autocomplete="off"
  />
  <ul class="mt-2 max-h-64 overflow-y-auto" aria-label="Fields">
    {#each offered as choice, i (choice.words)}
      <li class={i === fields.length && !words ? 'mt-1 border-t border-line-soft pt-1' : ''}>
        <button
          type="button"
          class="w-full rounded-md px-2 py-1 text-left hover:bg-kelp-pale"
          onclick={choice.choose}>{choice.words}</button
        >
      </li>
    {:else}
      <li class="px-2 py-1 text-soft">No field is called that.</li>
    {/each}
  </ul>
</form>
