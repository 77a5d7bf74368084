<script lang="ts">
  import { documentsQuery } from '$lib/api/queries';
  import type { Writing } from '$lib/draft/writing.svelte';
  import DocumentSheet from '$lib/document/DocumentSheet.svelte';
  import { fieldsWords, unmatchedWords } from '$lib/document/documents';
  import { createQuery } from '@tanstack/svelte-query';

  interface Props {
    paper: Writing['paper'];
    editable: boolean;
    onwrite: (paper: Partial<Writing['paper']>) => void;
  }

  let { paper, editable, onwrite }: Props = $props();
  const documents = createQuery(documentsQuery);
  const document = $derived(documents.data?.find((d) => d.id === paper.documentId));
</script>

{#if document}
  <p class="flex flex-none flex-wrap gap-x-3 px-3.5 py-1 text-[0.87rem] text-soft">
    <span>Made of version {paper.documentVersion}, {fieldsWords(document)}</span>
    {#if document.unmatched}<span class="text-brick">{unmatchedWords(document)}</span>{/if}
    {#if editable && document.version > paper.documentVersion}
      <button
        type="button"
        class="font-semibold text-kelp hover:underline"
        onclick={() => onwrite({ documentVersion: document.version })}
        >Take version {document.version}</button
      >
    {/if}
    <a class="font-semibold text-kelp hover:underline" href={`/documents/${document.id}`}
      >What its fields show</a
    >
  </p>
  <div class="flex min-h-40 flex-1 flex-col px-3.5 pb-2">
    <DocumentSheet
      path={`/api/documents/${document.id}/shown?version=${paper.documentVersion}`}
      mark=""
      label="The document as it is"
    />
  </div>
{:else if documents.data}
  <p class="px-3.5 py-2 text-soft">
    The document is not in the list any more; the letter keeps it.
  </p>
{/if}
