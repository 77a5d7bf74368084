<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query';
  import { onMount, type ComponentProps } from 'svelte';
  import { whenQuiet } from '$lib/ui/whenQuiet';
  import type TextEditor from './TextEditor.svelte';
  import { wordsOf } from '$lib/format/wordsOf';

  let props: ComponentProps<typeof TextEditor> = $props();

  /** The editor is large, and comes after everything that is looked at first. */
  let Editor = $state.raw<typeof TextEditor | null>(null);
  let editor = $state<TextEditor>();
  let wanted = false;

  /** Also before it is there: then as soon as it is. */
  export function focus() {
    wanted = !editor;
    if (wanted) load();
    editor?.focus();
  }

  export function openPicker() {
    editor?.openPicker();
  }

  const plain = $derived(wordsOf(props.value));

  const queries = useQueryClient();

  function load() {
    void import('./TextEditor.svelte').then((loaded) => (Editor = loaded.default));
  }

  /** Whoever presses the words before the editor is there is about to write. */
  function writesWhenPressed(words: Element) {
    words.addEventListener('pointerdown', focus);
  }

  onMount(() => whenQuiet(() => queries.isFetching() > 0, load));
  $effect(() => {
    if (editor && wanted) focus();
  });
</script>

{#if Editor}
  <Editor bind:this={editor} {...props} />
{:else if props.singleLine}
  <span class="block min-h-6 truncate" aria-busy="true" title={plain} {@attach writesWhenPressed}
    >{plain}</span
  >
{:else}
  <p
    class="min-h-0 flex-1 overflow-hidden px-3.5 py-3 whitespace-pre-line text-soft"
    aria-busy="true"
    {@attach writesWhenPressed}
  >
    {plain}
  </p>
{/if}
