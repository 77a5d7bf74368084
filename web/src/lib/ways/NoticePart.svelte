<script lang="ts">
  import type { MergeFieldName, Proof } from '$lib/api/types';
  import type { Writing } from '$lib/draft/writing.svelte';
  import LateEditor from '$lib/editor/LateEditor.svelte';
  import type { Hints } from '$lib/editor/picking';
  import { leftWords } from './notice';

  interface Props {
    notice: Writing['notice'];
    onwrite: (notice: Partial<Writing['notice']>) => void;
    /** Whether it is for one person alone: it leads where everybody's does. */
    own?: boolean;
    fields: MergeFieldName[];
    hints: Hints;
    /** The proof of whoever is looked at, where that is a notice. */
    proof: Proof | undefined;
    editable: boolean;
    /** Whether it is written alone, with nothing beside it. */
    alone: boolean;
    /** How far it is saved, where nothing above says so. */
    saved: string;
  }

  let {
    notice,
    onwrite,
    own = false,
    fields,
    hints,
    proof,
    editable,
    alone,
    saved
  }: Props = $props();
  let words = $state<LateEditor>();
  let link = $state<LateEditor>();
</script>

{#snippet line(name: string, label: string, value: string, part: 'title' | 'link')}
  <div class="flex flex-none items-baseline gap-2 border-b border-line-soft px-3.5 py-1">
    <span class="w-10 flex-none text-soft">{name}</span>
    <div class="min-w-0 flex-1" class:font-semibold={part === 'title'}>
      {#if part === 'title'}
        <LateEditor
          {value}
          {fields}
          {hints}
          {label}
          singleLine
          readonly={!editable}
          onchange={(title) => onwrite({ title })}
          onenter={() => words?.focus()}
        />
      {:else}
        <LateEditor
          bind:this={link}
          {value}
          {fields}
          {hints}
          {label}
          singleLine
          readonly={!editable}
          onchange={(link) => onwrite({ link })}
        />
      {/if}
    </div>
  </div>
{/snippet}

<section
  class={`flex min-h-0 flex-col ${alone ? 'flex-1' : 'max-h-[52%] min-h-44 flex-none border-t border-line'}`}
  aria-label="Notice to the app"
>
  <p class="flex flex-none justify-between px-3.5 pt-1.5 text-[0.87rem] text-soft">
    Notice to the app {#if alone}<span data-saved>{saved}</span>{/if}
  </p>
  {@render line('Title', 'Title of the notice', notice.title, 'title')}
  <LateEditor
    bind:this={words}
    value={notice.words}
    {fields}
    {hints}
    label="Text of the notice"
    lines
    readonly={!editable}
    onchange={(words) => onwrite({ words })}
  />
  {#if !own}
    <div class="flex-none border-t border-line-soft">
      {@render line('Link', 'Link of the notice', notice.link, 'link')}
    </div>
  {/if}
  {#if proof?.notice}
    <p
      class="flex flex-none flex-wrap gap-x-4 px-3.5 py-1 text-[0.87rem] text-soft"
      aria-live="polite"
    >
      <span>{proof.toName}:</span>
      <span class:text-brick={proof.notice.titleLeft < 0}
        >title {leftWords(proof.notice.titleLeft)}</span
      >
      <span class:text-brick={proof.notice.wordsLeft < 0}
        >text {leftWords(proof.notice.wordsLeft)}</span
      >
    </p>
  {/if}
</section>
