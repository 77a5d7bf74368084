<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { SelectionBody } from '$lib/api/types';
  import { onlyThese, toBody } from '$lib/list/selection';
  import TagDialog from '$lib/people/bulk/TagDialog.svelte';
  import TaskDialog from '$lib/people/bulk/TaskDialog.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import type { Part } from './parts';

  interface Props {
    mailingId: number;
    part: Part;
    size: number;
  }

  let { mailingId, part, size }: Props = $props();

  let who = $state.raw<SelectionBody | null>(null);
  let open = $state<'tag' | 'task' | null>(null);
  const everyone = { match: 'ALL' as const, conditions: [], related: [], groups: [] };

  /** Whoever stands there now is meant, not whoever does when the dialog is done. */
  async function begin(what: 'tag' | 'task') {
    try {
      const people = await answer(
        api.GET('/api/responses/{mailingId}/people', {
          params: { path: { mailingId }, query: { standings: part.standings } }
        })
      );
      who = toBody(onlyThese(people), everyone);
      open = what;
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<span class="flex flex-wrap gap-x-4">
  <button
    type="button"
    class="font-semibold text-kelp hover:underline"
    onclick={() => begin('task')}>Make tasks…</button
  >
  <button type="button" class="font-semibold text-kelp hover:underline" onclick={() => begin('tag')}
    >Tag…</button
  >
</span>
{#if who}
  <TaskDialog
    bind:open={() => open === 'task', (is) => (open = is ? 'task' : null)}
    {who}
    count={who.picks?.length ?? size}
  />
  <TagDialog
    bind:open={() => open === 'tag', (is) => (open = is ? 'tag' : null)}
    {who}
    count={who.picks?.length ?? size}
  />
{/if}
