<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { SelectionBody } from '$lib/api/types';
  import { people } from '$lib/format/numbers';
  import { undo } from '$lib/people/bulk/doing';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { useQueryClient } from '@tanstack/svelte-query';
  import SeriesSelect from './SeriesSelect.svelte';

  interface Props {
    open: boolean;
    who: SelectionBody;
    count: number;
  }

  let { open = $bindable(), who, count }: Props = $props();

  const queries = useQueryClient();
  let series = $state(0);

  async function letIn() {
    try {
      const params = { path: { id: series } };
      const body = { filter: null, people: [], picked: who, plan: null };
      const came = await answer(api.POST('/api/series/{id}/people', { params, body }));
      await queries.invalidateQueries({ queryKey: ['series'] });
      await queries.invalidateQueries({ queryKey: ['series-people'] });
      open = false;
      const { act } = came;
      const rest = count - came.in;
      notices.say(
        `${people(came.in)} came in.${rest > 0 ? ` ${people(rest)} ${rest === 1 ? 'is' : 'are'} in it, or were.` : ''}`,
        act === null ? undefined : () => void undo(queries, act)
      );
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<Ask bind:open title={`Let ${people(count)} into a series`}>
  <label class="flex flex-col gap-1">
    Series
    <SeriesSelect value={series} onchange={(id) => (series = id)} />
  </label>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    <HouseButton weight="main" disabled={series === 0} onclick={() => void letIn()}
      >{count === 1 ? 'Let them in' : `Let all ${count} in`}</HouseButton
    >
  {/snippet}
</Ask>
