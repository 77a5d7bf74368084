<script lang="ts">
  import type { Writing } from '$lib/draft/writing.svelte';
  import { fieldWords } from '$lib/format/fields';
  import { setFallback } from './mends';

  interface Props {
    writing: Writing;
    /** The field that some lack. */
    field: string;
    onclose: () => void;
  }

  let { writing, field, onclose }: Props = $props();
  let words = $state('');

  let wrong = $state('');

  async function set(event: SubmitEvent) {
    event.preventDefault();
    if (!words.trim()) return;
    try {
      await setFallback(writing, field, words);
      onclose();
    } catch (error) {
      wrong = error instanceof Error ? error.message : String(error);
    }
  }

  function focusFirst(node: HTMLElement) {
    node.querySelector('input')?.focus();
  }
</script>

<form class="mt-1.5 flex flex-wrap items-center gap-2" onsubmit={set} {@attach focusFirst}>
  <span>Where there is no {fieldWords(field)}, write</span>
  <input
    class="w-44 rounded-md border-line bg-card px-2 py-0.5"
    aria-label={`Fallback for ${field}`}
    bind:value={words}
    onkeydown={(e) => e.key === 'Escape' && onclose()}
  />
  <button type="submit" class="font-semibold text-kelp hover:underline">Set the fallback</button>
  <button type="button" class="text-soft hover:underline" onclick={onclose}>Not now</button>
  {#if wrong}<p class="w-full text-brick" role="alert">{wrong}</p>{/if}
</form>
