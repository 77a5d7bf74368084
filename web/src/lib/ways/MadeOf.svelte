<script lang="ts">
  import { documentsQuery } from '$lib/api/queries';
  import type { Writing } from '$lib/draft/writing.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { forms } from './letterForms';

  interface Props {
    paper: Writing['paper'];
    editable: boolean;
    onwrite: (paper: Partial<Writing['paper']>) => void;
  }

  let { paper, editable, onwrite }: Props = $props();
  const documents = createQuery(documentsQuery);
  const chosen = $derived(paper.documentId ? String(paper.documentId) : paper.form);

  function choose(value: string) {
    const document = documents.data?.find((d) => String(d.id) === value);
    if (document) {
      onwrite({ documentId: document.id, documentVersion: document.version });
    } else if (forms.some((form) => form.form === value)) {
      onwrite({ form: value as typeof paper.form, documentId: 0, documentVersion: 0 });
    }
  }
</script>

<select
  class="ms-auto max-w-60 rounded-md border-line bg-card py-0 ps-2 pe-7 text-[0.87rem]"
  aria-label="Where its address stands, or which document it is made of"
  disabled={!editable}
  value={chosen}
  onchange={(e) => choose(e.currentTarget.value)}
>
  <optgroup label="Written here">
    {#each forms as form (form.form)}<option value={form.form}>{form.words}</option>{/each}
  </optgroup>
  {#if documents.data?.length || paper.documentId}
    <optgroup label="Made of a document">
      {#each documents.data ?? [] as document (document.id)}
        <option value={String(document.id)}>{document.name}</option>
      {/each}
      {#if documents.data && !documents.data.some((d) => d.id === paper.documentId) && paper.documentId}
        <option value={chosen}>a document that was deleted</option>
      {/if}
    </optgroup>
  {/if}
</select>
