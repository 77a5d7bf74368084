<script lang="ts">
  import type { MergeFieldName } from '$lib/api/types';
  import { Input } from 'flowbite-svelte';
  import { lackWords, matching, type Hints } from './picking';

  interface Props {
    fields: MergeFieldName[];
    hints: Hints;
    /** The name of the field that is chosen. */
    chosen: string;
    /** A second `{`: the writer types the field by hand. */
    onbrace?: () => void;
    onclose: () => void;
  }

  let { fields, hints, chosen = $bindable(), onbrace, onclose }: Props = $props();
  let words = $state('');
  const offered = $derived(matching(fields, words));

  // What is typed chooses the first that fits, so that Enter is enough.
  $effect(() => {
    if (!offered.some((f) => f.name === chosen)) chosen = offered[0]?.name ?? '';
  });

  function step(by: number) {
    const at = offered.findIndex((f) => f.name === chosen);
    chosen = offered[Math.max(0, Math.min(offered.length - 1, at + by))]?.name ?? '';
    document.getElementById(`field-${chosen}`)?.scrollIntoView({ block: 'nearest' });
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Escape') onclose();
    else if (event.key === '{' && words === '' && onbrace) onbrace();
    else if (event.key === 'ArrowDown') step(1);
    else if (event.key === 'ArrowUp') step(-1);
    else return;
    event.preventDefault();
    event.stopPropagation();
  }
</script>

<Input
  bind:value={words}
  {onkeydown}
  placeholder="Which field"
  aria-label="Which field"
  autocomplete="off"
/>
<ul class="my-2 max-h-52 overflow-y-auto" aria-label="Merge fields">
  {#each offered as field (field.name)}
    <li>
      <button
        type="button"
        id={`field-${field.name}`}
        class={`w-full rounded px-2 py-0.5 text-left ${chosen === field.name ? 'bg-kelp-pale' : 'hover:bg-shade'}`}
        aria-pressed={chosen === field.name}
        onclick={() => (chosen = field.name)}
      >
        <span class="flex items-baseline justify-between gap-3">
          {field.label}
          <span class="truncate text-[0.82rem] text-soft">{hints.samples?.[field.name] ?? ''}</span>
        </span>
        {#if lackWords(hints, field.name)}
          <span class="block text-[0.8rem] text-ochre">{lackWords(hints, field.name)}</span>
        {/if}
      </button>
    </li>
  {:else}
    <li class="px-2 text-soft">No field is called that.</li>
  {/each}
</ul>
