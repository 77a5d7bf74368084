<script lang="ts">
  import { goto } from '$app/navigation';
  import { answer, api } from '$lib/api/client';
  import { labelTemplatesQuery } from '$lib/api/queries';
  import type { PrintRun } from '$lib/api/types';
  import Overtaken from '$lib/message/Overtaken.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import Popup from '$lib/ui/Popup.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import type { useRun } from './run.svelte';

  interface Props {
    run: ReturnType<typeof useRun>;
    data: PrintRun;
    editable: boolean;
  }

  let { run, data, editable }: Props = $props();

  const queries = useQueryClient();
  const kept = createQuery(labelTemplatesQuery);
  let open = $state(false);
  const states = { saved: 'Saved', changed: 'Saving …', saving: 'Saving …', failed: 'Not saved' };
  const replaces = $derived((kept.data ?? []).some((template) => template.name === data.name));
  const whom = $derived(
    [
      ...data.parts.map((part) => part.words),
      ...(data.picks.length ? [`${data.picks.length.toLocaleString('en-GB')} picked by hand`] : [])
    ].join(', and ')
  );
  const entry = 'block w-full rounded px-2 py-1 text-left hover:bg-kelp-pale';

  /** What stands at the server now, asked anew. */
  async function theirs() {
    const now = (await run.query.refetch()).data ?? data;
    return { subject: now.name, body: now.design.lines };
  }

  async function keep() {
    open = false;
    if (!run.body) return;
    const body = { name: run.body.name, design: $state.snapshot(run.body.design) };
    try {
      const saved = await answer(api.POST('/api/label-templates', { body }));
      notices.say(`“${saved.name}” is kept to print again.`);
      await queries.invalidateQueries({ queryKey: ['label-templates'] });
    } catch (error) {
      notices.fail(error);
    }
  }

  async function discard() {
    const params = { path: { id: data.id } };
    try {
      await answer(api.DELETE('/api/print-runs/{id}', { params }));
      await queries.invalidateQueries({ queryKey: ['print-runs'] });
      await goto('/paper');
      notices.say(`“${data.name}” is discarded.`, () => {
        void answer(api.POST('/api/print-runs/{id}/restore', { params }))
          .then(() => goto(`/paper/${data.id}`))
          .catch((error: unknown) => notices.fail(error));
      });
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<svelte:head><title>{data.name} · Jemble</title></svelte:head>

<div class="flex flex-none flex-wrap items-center gap-x-4 gap-y-1.5">
  {#if editable && run.body}
    <input
      class="w-64 rounded-lg border border-line bg-card px-2.5 py-1 text-[1.2rem] font-semibold"
      aria-label="Name of the print run"
      value={run.body.name}
      onchange={(e) => run.change({ name: e.currentTarget.value })}
    />
  {:else}
    <h1 class="text-[1.4rem]">{data.name}</h1>
  {/if}
  <p class="min-w-0 flex-1 truncate text-soft" title={whom}>for {whom}</p>
  {#if editable}
    <span class="text-soft" data-saved aria-live="polite">
      {run.saving.trouble ?? states[run.saving.state]}
    </span>
    <Popup bind:open label="More about this print run" right>
      {#snippet trigger(toggle)}
        <HouseButton onclick={toggle}>More ▾</HouseButton>
      {/snippet}
      <button type="button" class={entry} onclick={keep}
        >{replaces ? 'Replace what is kept as' : 'Keep sheet and lines as'} “{data.name}”</button
      >
      {#each kept.data ?? [] as template (template.id)}
        <button
          type="button"
          class={entry}
          onclick={() => ((open = false), run.change({ design: template.design }))}
          >Print as “{template.name}”</button
        >
      {/each}
      <button type="button" class={`${entry} text-brick`} onclick={discard}>Discard</button>
    </Popup>
  {/if}
</div>
<Overtaken
  open={run.saving.overtaken}
  says={run.saving.trouble ?? ''}
  mine={{ subject: run.body?.name ?? '', body: run.body?.design.lines ?? '' }}
  {theirs}
  onkeep={async () => {
    await run.query.refetch();
    run.change({ version: run.query.data?.version ?? data.version });
  }}
  ontake={run.takeTheirs}
/>
