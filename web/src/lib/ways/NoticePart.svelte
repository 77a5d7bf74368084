<script lang="ts">
  import type { MergeFieldName, Proof } from '$lib/api/types';
  import type { Writing } from '$lib/draft/writing.svelte';
  import LateEditor from '$lib/editor/LateEditor.svelte';
  import type { Hints } from '$lib/editor/picking';
  import { leftWords } from './notice';

  interface Props {
    writing: Writing;
    fields: MergeFieldName[];
    hints: Hints;
    /** The proof of whoever is looked at, where that is a notice. */
    proof: Proof | undefined;
    editable: boolean;
    /** Whether it is written alone, with nothing beside it. */
    alone: boolean;
  }

  let { writing, fields, hints, proof, editable, alone }: Props = $props();
  let words = $state<LateEditor>();
  let link = $state<LateEditor>();

  function write(notice: Partial<Writing['notice']>) {
    writing.set('notice', { ...writing.notice, ...notice });
  }
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
          onchange={(title) => write({ title })}
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
          onchange={(link) => write({ link })}
        />
      {/if}
    </div>
  </div>
{/snippet}

<section
  class={`flex min-h-0 flex-col ${alone ? 'flex-1' : 'max-h-[52%] min-h-44 flex-none border-t border-line'}`}
  aria-label="Notice to the app"
>
  <p class="flex-none px-3.5 pt-1.5 text-[0.87rem] text-soft">Notice to the app</p>
  {@render line('Title', 'Title of the notice', writing.notice.title, 'title')}
  <LateEditor
    bind:this={words}
    value={writing.notice.words}
    {fields}
    {hints}
    label="Text of the notice"
    lines
    readonly={!editable}
    onchange={(words) => write({ words })}
  />
  <div class="flex-none border-t border-line-soft">
    {@render line('Link', 'Link of the notice', writing.notice.link, 'link')}
  </div>
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
