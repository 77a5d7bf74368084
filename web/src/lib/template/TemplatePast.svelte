<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { TemplateVersion } from '$lib/api/types';
  import { dayAndTime } from '$lib/format/dates';
  import CompareDialog from '$lib/message/CompareDialog.svelte';
  import { session } from '$lib/session/session.svelte';
  import Popup from '$lib/ui/Popup.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  interface Props {
    templateId: number;
    version: number;
    /** The text as it is now. */
    now: { subject: string; body: string };
    mayWrite: boolean;
    onrestore: (version: TemplateVersion) => void;
  }

  let { templateId, version, now, mayWrite, onrestore }: Props = $props();
  let open = $state(false);
  let comparing = $state(false);
  let before = $state.raw<TemplateVersion | null>(null);

  const path = $derived({ path: { id: templateId } });
  const versions = createQuery(() => ({
    queryKey: ['template-versions', templateId, version],
    queryFn: () => answer(api.GET('/api/templates/{id}/versions', { params: path })),
    enabled: open
  }));
  const used = createQuery(() => ({
    queryKey: ['template-used', templateId],
    queryFn: () =>
      answer(api.GET('/api/mailings', { params: { query: { template: templateId } } })),
    enabled: open
  }));

  function compare(one: TemplateVersion) {
    before = one;
    comparing = true;
  }

  function restore(one: TemplateVersion) {
    open = false;
    onrestore(one);
  }
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
    <h2 class="text-[1rem] font-bold">Before</h2>
    <ul class="mb-3 max-h-44 overflow-y-auto">
      {#each versions.data ?? [] as one (one.version)}
        <li class="border-b border-line-soft py-1">
          {dayAndTime(one.savedAt, session.zone)}
          <span class="text-soft">by {one.savedBy}</span>
          <span class="flex gap-3">
            <button type="button" class="text-kelp hover:underline" onclick={() => compare(one)}
              >Compare</button
            >
            {#if mayWrite}
              <button type="button" class="text-kelp hover:underline" onclick={() => restore(one)}
                >Bring it back</button
              >
            {/if}
          </span>
        </li>
      {:else}
        <li class="text-soft">It has never been changed.</li>
      {/each}
    </ul>
    <h2 class="text-[1rem] font-bold">Used by</h2>
    <ul class="max-h-32 overflow-y-auto">
      {#each used.data ?? [] as mailing (mailing.id)}
        <li>
          <a class="text-kelp hover:underline" href={`/mailings/${mailing.id}`}>{mailing.name}</a>
        </li>
      {:else}
        <li class="text-soft">No mailing yet.</li>
      {/each}
    </ul>
  </div>
</Popup>
{#if before}
  <CompareDialog
    bind:open={comparing}
    title="Then and now"
    before={{ name: 'the version before', subject: before.subject, body: before.body }}
    after={{ name: 'the text as it is', ...now }}
  />
{/if}
