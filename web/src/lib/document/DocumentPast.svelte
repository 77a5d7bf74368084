<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { HouseDocument } from '$lib/api/types';
  import { dayAndTime } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import Popup from '$lib/ui/Popup.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { changedWords, usedAt } from './documents';

  interface Props {
    document: HouseDocument;
  }

  let { document }: Props = $props();
  let open = $state(false);
  const params = $derived({ path: { id: document.id } });
  const versions = createQuery(() => ({
    queryKey: ['document-versions', document.id, document.version],
    queryFn: () => answer(api.GET('/api/documents/{id}/versions', { params })),
    enabled: open
  }));
  const used = createQuery(() => ({
    queryKey: ['document-used', document.id],
    queryFn: () => answer(api.GET('/api/documents/{id}/used', { params })),
    enabled: open
  }));
</script>

<Popup bind:open label="Versions and use" right>
  {#snippet trigger(toggle)}
    <button
      type="button"
      class="rounded-lg border border-line bg-card px-3.5 py-1.5 font-medium hover:bg-shade"
      aria-expanded={open}
      onclick={toggle}>Versions and use</button
    >
  {/snippet}
  <div class="w-80">
    <h2 class="text-[1rem] font-bold">Versions</h2>
    <ul class="mb-3 max-h-44 overflow-y-auto">
      {#each versions.data ?? [] as one (one.version)}
        <li class="border-b border-line-soft py-1">
          <a
            class="text-kelp hover:underline"
            href={`/api/documents/${document.id}/file?version=${one.version}`}
            download>Version {one.version}</a
          >
          <span class="text-soft">{dayAndTime(one.savedAt, session.zone)} by {one.savedBy}</span>
          {#if changedWords(one)}<span class="block break-words">{changedWords(one)}</span>{/if}
        </li>
      {/each}
    </ul>
    <h2 class="text-[1rem] font-bold">Used by</h2>
    <ul class="max-h-32 overflow-y-auto">
      {#each used.data ?? [] as one (one.id)}
        {@const path = usedAt(one)}
        <li>
          {#if path}
            <a class="text-kelp hover:underline" href={path}>{one.name}</a>
          {:else}
            {one.name}
          {/if}
          <span class="text-soft">version {one.version}</span>
        </li>
      {:else}
        <li class="text-soft">No letter yet.</li>
      {/each}
    </ul>
  </div>
</Popup>
