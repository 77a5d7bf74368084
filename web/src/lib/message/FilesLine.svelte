<script lang="ts">
  import { answer, api, send } from '$lib/api/client';
  import type { MailingFile } from '$lib/api/types';
  import { octets } from '$lib/format/numbers';
  import { notices } from '$lib/ui/notices.svelte';
  import Popup from '$lib/ui/Popup.svelte';
  import type { Writing } from '$lib/draft/writing.svelte';

  interface Props {
    writing: Writing;
    editable: boolean;
  }

  let { writing, editable }: Props = $props();
  let open = $state(false);
  let busy = $state(false);
  let chooser = $state<HTMLInputElement>();

  const files = $derived(writing.mailing.files);
  const path = $derived({ id: writing.mailing.id });
  const words = $derived(
    files.length === 0
      ? 'No attachment'
      : files.length === 1
        ? `1 attachment · ${files[0]?.name} ${files[0]?.recipients ? '' : `(${octets(files[0]?.size ?? 0)})`}`
        : `${files.length} attachments (${octets(files.reduce((sum, f) => sum + f.size, 0))})`
  );

  async function change(call: Promise<MailingFile[]>) {
    busy = true;
    try {
      writing.mailing = { ...writing.mailing, files: await call };
      writing.refresh();
    } catch (error) {
      notices.fail(error);
    } finally {
      busy = false;
    }
  }

  async function add(file: File): Promise<MailingFile[]> {
    const query = new URLSearchParams({ name: file.name, type: file.type });
    const url = `/api/mailings/${path.id}/files?${query.toString()}`;
    return (await send(url, 'application/octet-stream', file)).json() as Promise<MailingFile[]>;
  }

  /** One after another, so that each sees the room that the one before has left. */
  async function addAll(chosen: FileList | null) {
    for (const file of chosen ?? []) await change(add(file));
    if (chooser) chooser.value = '';
  }

  function recipients() {
    return answer(api.POST('/api/mailings/{id}/files/recipients', { params: { path } }));
  }

  function remove(file: MailingFile) {
    const params = { path: { ...path, fileId: file.id } };
    return answer(api.DELETE('/api/mailings/{id}/files/{fileId}', { params }));
  }

  function rename(file: MailingFile, name: string) {
    const params = { path: { ...path, fileId: file.id } };
    return answer(api.PUT('/api/mailings/{id}/files/{fileId}', { params, body: { name } }));
  }
</script>

<Popup bind:open label="Attachments" up>
  {#snippet trigger(toggle)}
    <button
      type="button"
      class="min-h-[24px] text-left hover:underline disabled:no-underline"
      aria-expanded={open}
      disabled={!editable && files.length === 0}
      onclick={toggle}>{words}</button
    >
  {/snippet}
  <div class="w-88 max-w-full">
    <ul class="mb-2 flex flex-col gap-1.5">
      {#each files as file (file.id)}
        <li class="flex items-center gap-2">
          <input
            class="min-w-0 flex-1 rounded-md border-line bg-card px-2 py-0.5 text-[0.93rem]"
            aria-label={`Name of ${file.name}, as readers see it`}
            value={file.name}
            readonly={!editable}
            onchange={(e) => change(rename(file, e.currentTarget.value))}
          />
          <span class="text-[0.85rem] whitespace-nowrap text-soft">
            {file.recipients && !file.size ? 'made at release' : octets(file.size)}
          </span>
          {#if editable}
            <button
              type="button"
              class="text-brick hover:underline"
              aria-label={`Remove ${file.name}`}
              onclick={() => change(remove(file))}>remove</button
            >
          {/if}
        </li>
      {/each}
    </ul>
    {#if editable}
      <input
        type="file"
        multiple
        class="block w-full text-[0.93rem]"
        aria-label="Attach files"
        data-first
        bind:this={chooser}
        disabled={busy}
        onchange={() => addAll(chooser?.files ?? null)}
      />
      <p class="mt-1.5 text-[0.85rem] text-soft">
        At most 10 MB together. A name may hold merge fields, as {'{{number}}'}.
      </p>
      {#if !files.some((f) => f.recipients)}
        <button
          type="button"
          class="mt-1.5 text-kelp hover:underline"
          onclick={() => change(recipients())}>Attach the list of recipients, names only</button
        >
      {/if}
    {/if}
  </div>
</Popup>
