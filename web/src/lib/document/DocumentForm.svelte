<script lang="ts">
  import { beforeNavigate, goto } from '$app/navigation';
  import { ApiProblem, answer, api } from '$lib/api/client';
  import type { HouseDocument } from '$lib/api/types';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import DocumentFields from './DocumentFields.svelte';
  import DocumentHead from './DocumentHead.svelte';
  import DocumentPast from './DocumentPast.svelte';
  import DocumentSheet from './DocumentSheet.svelte';
  import { DOCX, draftOf, nextVersion } from './documents';

  interface Props {
    document: HouseDocument;
  }

  let { document }: Props = $props();
  const queries = useQueryClient();
  // A form begins with what was there and then goes its own way.
  // svelte-ignore state_referenced_locally
  let draft = $state(draftOf(document));
  let wrong = $state<ApiProblem | null>(null);
  let changed = $state(false);
  let busy = $state(false);
  let chooser = $state<HTMLInputElement>();

  const mayWrite = $derived(session.may('TEMPLATES'));
  const params = $derived({ path: { id: document.id } });
  const file = $derived(`/api/documents/${document.id}/file`);
  const remarks = createQuery(() => ({
    queryKey: ['document-remarks', document.id, document.version],
    queryFn: () => answer(api.GET('/api/documents/{id}/remarks', { params }))
  }));

  function took(saved: HouseDocument, said: string) {
    draft = draftOf(saved);
    changed = false;
    queries.setQueryData(['document', saved.id], saved);
    void queries.invalidateQueries({ queryKey: ['documents'] });
    notices.say(said);
  }

  async function doing(work: () => Promise<void>) {
    busy = true;
    wrong = null;
    try {
      await work();
    } catch (error) {
      wrong = error instanceof ApiProblem ? error : null;
      if (!wrong?.field) notices.fail(error);
    } finally {
      busy = false;
    }
  }

  const save = () =>
    doing(async () => {
      const body = $state.snapshot(draft);
      const saved = await answer(api.PUT('/api/documents/{id}', { params, body }));
      took(saved, `“${saved.name}” is saved.`);
    });

  const replace = (next: File | undefined) =>
    doing(async () => {
      if (!next) return;
      const saved = await nextVersion(document, next);
      took(saved, `Version ${saved.version} is the new file. Letters take it when you say so.`);
    }).finally(() => {
      if (chooser) chooser.value = '';
    });

  const remove = () =>
    doing(async () => {
      if (!confirm(`Delete the document “${document.name}” for good?`)) return;
      await answer(api.DELETE('/api/documents/{id}', { params }));
      changed = false;
      await queries.invalidateQueries({ queryKey: ['documents'] });
      notices.say(`“${document.name}” is gone; letters that are made of it keep it.`);
      await goto('/templates');
    });

  // Leaving the page altogether, the browser itself asks.
  beforeNavigate((navigation) => {
    const loses = 'The document is not saved. Leave it and lose what you changed?';
    if (changed && (navigation.type === 'leave' || !confirm(loses))) navigation.cancel();
  });
</script>

<svelte:head><title>{draft.name} · Jemble</title></svelte:head>

<div class="flex flex-wrap items-start justify-between gap-3">
  <h1 class="text-[1.4rem]">Document for letters</h1>
  <div class="flex flex-wrap gap-2">
    <DocumentPast {document} />
    <a
      class="rounded-lg border border-line bg-card px-3.5 py-1.5 font-medium hover:bg-shade"
      href={file}
      download>Download</a
    >
    {#if mayWrite}
      <input
        bind:this={chooser}
        type="file"
        class="sr-only"
        tabindex="-1"
        accept={DOCX}
        aria-label="The next version"
        onchange={(e) => void replace(e.currentTarget.files?.[0])}
      />
      <HouseButton disabled={busy || changed} onclick={() => chooser?.click()}
        >Next version</HouseButton
      >
      <HouseButton weight="grave" onclick={remove}>Delete</HouseButton>
      <HouseButton weight="main" onclick={save} disabled={busy || !changed}>
        {busy ? 'Saving…' : changed ? 'Save' : 'Saved'}
      </HouseButton>
    {/if}
  </div>
</div>
{#if wrong?.field}
  <p class="rounded-lg bg-brick-pale px-4 py-2" role="alert">{wrong.message}</p>
{/if}
<DocumentHead bind:draft readonly={!mayWrite} onchange={() => (changed = true)} />
<div
  class="grid min-h-[26rem] flex-1 grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-3 max-lg:flex-none max-lg:grid-cols-1 max-lg:grid-rows-[auto_28rem]"
>
  <section
    class="panel min-w-0 overflow-auto max-lg:overflow-visible"
    aria-label="What its fields show"
  >
    <DocumentFields
      {document}
      matches={draft.matches}
      readonly={!mayWrite}
      onchange={(matches) => ((draft.matches = matches), (changed = true))}
    />
    {#each remarks.data?.remarks ?? [] as remark (remark)}
      <p class="border-t border-line-soft px-3.5 py-1.5 text-brick">{remark}</p>
    {/each}
  </section>
  <section class="panel flex min-h-96 min-w-0 flex-col p-2" aria-label="The document">
    <DocumentSheet
      path={`/api/documents/${document.id}/shown`}
      mark={String(document.version)}
      label="The document as it is"
    />
  </section>
</div>
