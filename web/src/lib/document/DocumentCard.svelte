<script lang="ts">
  import type { HouseDocument } from '$lib/api/types';
  import { dayAndYear } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import { fieldsWords, unmatchedWords } from './documents';

  interface Props {
    document: HouseDocument;
  }

  let { document }: Props = $props();
  const used = $derived(
    document.used === 0
      ? 'not used yet'
      : document.used === 1
        ? 'used once'
        : `used ${document.used} times`
  );
</script>

<a href={`/documents/${document.id}`} class="panel block min-w-0 p-4 hover:border-kelp-mid">
  <span class="flex flex-wrap items-baseline justify-between gap-x-3">
    <span class="font-heading text-[1.1rem] font-bold">{document.name}</span>
    <span class="text-[0.87rem] whitespace-nowrap text-soft">
      {document.private ? 'mine alone · ' : ''}for a {document.startsFrom}{document.label
        ? ` · ${document.label}`
        : ''}
    </span>
  </span>
  <span class="mt-1 block">
    {fieldsWords(document)}
    {#if document.unmatched}<span class="ms-2 text-brick">{unmatchedWords(document)}</span>{/if}
  </span>
  <span class="mt-2 block text-[0.87rem] text-soft">
    {used} · changed {dayAndYear(document.changedAt, session.zone)} by {document.changedBy}
  </span>
</a>
