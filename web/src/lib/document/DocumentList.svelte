<script lang="ts">
  import { goto } from '$app/navigation';
  import { documentsQuery } from '$lib/api/queries';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import DocumentCard from './DocumentCard.svelte';
  import { bringIn, DOCX } from './documents';

  interface Props {
    /** What they are looked for by. */
    words: string;
    mayWrite: boolean;
  }

  let { words, mayWrite }: Props = $props();
  const queries = useQueryClient();
  const query = createQuery(documentsQuery);
  const found = $derived(
    (query.data ?? []).filter((d) =>
      `${d.name} ${d.label}`.toLowerCase().includes(words.trim().toLowerCase())
    )
  );
  let chooser = $state<HTMLInputElement>();
  let busy = $state(false);

  async function take(file: File | undefined) {
    if (!file) return;
    busy = true;
    try {
      const made = await bringIn(file);
      await queries.invalidateQueries({ queryKey: ['documents'] });
      await goto(`/documents/${made.id}`);
    } catch (error) {
      notices.fail(error);
    } finally {
      busy = false;
      if (chooser) chooser.value = '';
    }
  }
</script>

<section aria-label="Documents">
  <div class="mb-1.5 flex flex-wrap items-center gap-x-3 gap-y-1">
    <h2 class="text-[1rem] text-soft">Documents for letters (.docx)</h2>
    {#if mayWrite}
      <input
        bind:this={chooser}
        type="file"
        class="sr-only"
        tabindex="-1"
        accept={DOCX}
        aria-label="A document to bring in"
        onchange={(e) => void take(e.currentTarget.files?.[0])}
      />
      <HouseButton weight="quiet" disabled={busy} onclick={() => chooser?.click()}>
        {busy ? 'Reading it…' : 'Bring one in'}
      </HouseButton>
    {/if}
  </div>
  {#if query.error}
    <Trouble error={query.error} onretry={() => query.refetch()} />
  {:else if query.data?.length === 0}
    <p class="panel p-4 text-soft">
      None yet. A letter written elsewhere, with merge fields of its own, is filled for each reader
      and keeps its look.
    </p>
  {:else}
    <div class="grid grid-cols-2 gap-3 max-md:grid-cols-1">
      {#each found as document (document.id)}<DocumentCard {document} />{/each}
    </div>
    {#if query.data && !found.length}<p class="text-soft">No document has these words.</p>{/if}
  {/if}
</section>
