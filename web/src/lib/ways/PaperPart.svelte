<script lang="ts">
  import type { MergeFieldName } from '$lib/api/types';
  import type { Writing } from '$lib/draft/writing.svelte';
  import LateEditor from '$lib/editor/LateEditor.svelte';
  import type { Hints } from '$lib/editor/picking';
  import MadeOf from './MadeOf.svelte';
  import OfDocument from './OfDocument.svelte';

  interface Props {
    paper: Writing['paper'];
    onwrite: (paper: Partial<Writing['paper']>) => void;
    /** Whether it is for one person alone: it lies on its sheet as everybody's does. */
    own?: boolean;
    fields: MergeFieldName[];
    hints: Hints;
    editable: boolean;
    /** Whether it is written alone, with nothing beside it. */
    alone: boolean;
    /** How far it is saved, where nothing above says so. */
    saved: string;
  }

  let { paper, onwrite, own = false, fields, hints, editable, alone, saved }: Props = $props();
  let body = $state<LateEditor>();
</script>

<section
  class={`flex min-h-0 flex-col ${alone ? 'flex-1' : 'max-h-[58%] min-h-56 flex-none border-t border-line'}`}
  aria-label="Letter on paper"
>
  <p class="flex flex-none items-baseline gap-3 px-3.5 pt-1.5 text-[0.87rem] text-soft">
    Letter on paper
    {#if !own}
      <MadeOf {paper} {editable} {onwrite} />
    {/if}
    {#if alone}<span class:ms-auto={own} data-saved>{saved}</span>{/if}
  </p>
  <div class="flex flex-none items-baseline gap-2 border-b border-line-soft px-3.5 py-1">
    <span class="flex-none text-soft">Subject</span>
    <div class="min-w-0 flex-1 font-semibold">
      <LateEditor
        value={paper.subject}
        {fields}
        {hints}
        label="Subject of the letter"
        singleLine
        readonly={!editable}
        onchange={(subject) => onwrite({ subject })}
        onenter={() => body?.focus()}
      />
    </div>
  </div>
  {#if paper.documentId && !own}
    <OfDocument {paper} {editable} {onwrite} />
  {:else}
    <LateEditor
      bind:this={body}
      value={paper.body}
      {fields}
      {hints}
      label="Text of the letter"
      readonly={!editable}
      onchange={(text) => onwrite({ body: text })}
    />
  {/if}
</section>
