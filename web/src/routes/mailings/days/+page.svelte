<script lang="ts">
  import { instead } from '$lib/api/instead';
  import { goto } from '$app/navigation';
  import { answer, api } from '$lib/api/client';
  import { occasionsQuery, topicsQuery } from '$lib/api/queries';
  import type { OccasionBody, OccasionView } from '$lib/api/types';
  import DayTurns from '$lib/occasion/DayTurns.svelte';
  import { fresh, inWords, STATES } from '$lib/occasion/occasion';
  import OccasionDialog from '$lib/occasion/OccasionDialog.svelte';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';

  const queries = useQueryClient();
  const query = createQuery(occasionsQuery);
  const topics = createQuery(topicsQuery);
  const days = createQuery(() => ({
    queryKey: ['day-fields'],
    queryFn: () => answer(api.GET('/api/occasions/day-fields'))
  }));
  const mayWrite = $derived(session.may('SERIES'));
  let open = $state(false);
  let changed = $state<OccasionView | null>(null);

  const labelOf = (field: string) => days.data?.find((d) => d.name === field)?.label ?? field;

  async function refresh() {
    await queries.invalidateQueries({ queryKey: ['occasions'] });
    await queries.invalidateQueries({ queryKey: ['occasion-turns'] });
  }

  async function step(work: () => Promise<unknown>, words: string): Promise<boolean> {
    try {
      await work();
      await refresh();
      notices.say(words);
      return true;
    } catch (error) {
      notices.fail(error);
      return false;
    }
  }

  const save = (body: OccasionBody) =>
    step(async () => {
      const params = { path: { id: changed?.id ?? 0 } };
      return changed
        ? answer(api.PUT('/api/occasions/{id}', { params, body }))
        : answer(api.POST('/api/occasions', { body }));
    }, `“${body.name}” is saved.`);

  const activate = (of: OccasionView) =>
    step(
      () => answer(api.POST('/api/occasions/{id}/activate', { params: { path: { id: of.id } } })),
      `“${of.occasion.name}” is active.`
    );

  const pause = (of: OccasionView) =>
    step(
      () => answer(api.POST('/api/occasions/{id}/pause', { params: { path: { id: of.id } } })),
      `“${of.occasion.name}” is paused.`
    );
</script>

<PageHead title="Days to remember" words="Birthdays, joining days, renewals: what is said on them.">
  {#snippet actions()}
    <HouseButton onclick={() => goto('/mailings')}>Mailings</HouseButton>
    {#if mayWrite}
      <HouseButton weight="main" onclick={() => ((changed = null), (open = true))}
        >New standing mailing</HouseButton
      >
    {/if}
  {/snippet}
</PageHead>
{#if instead(query)}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if query.data}
  <div class="grid grid-cols-2 items-start gap-3 max-lg:grid-cols-1">
    <Panel title="Standing mailings">
      {#if query.data.length === 0}
        <p class="px-3.5 py-3 text-soft">
          None yet. One says something to each person on their own day, every year.
        </p>
      {/if}
      <ul>
        {#each query.data as of (of.id)}
          <li class="border-b border-line-soft px-3.5 py-2 last:border-b-0">
            <div class="flex flex-wrap items-baseline gap-x-3">
              <strong class="min-w-0 flex-1 break-words">{of.occasion.name}</strong>
              <span class={of.state === 'ACTIVE' ? 'text-kelp' : 'text-soft'}
                >{STATES[of.state]}</span
              >
              {#if mayWrite}
                <HouseButton weight="quiet" onclick={() => ((changed = of), (open = true))}
                  >Change</HouseButton
                >
                {#if of.state === 'ACTIVE'}
                  <HouseButton weight="quiet" onclick={() => pause(of)}>Pause</HouseButton>
                {:else}
                  <HouseButton weight="quiet" onclick={() => activate(of)}
                    >{of.state === 'PAUSED' ? 'Go on' : 'Begin'}</HouseButton
                  >
                {/if}
              {/if}
            </div>
            <p class="text-[0.87rem] text-soft">
              {inWords(of.occasion, labelOf(of.occasion.field))}
            </p>
            {#if of.turns.SENT}
              <a class="text-[0.87rem] text-kelp underline" href={`/responses/${of.causeId}`}
                >said {of.turns.SENT} times</a
              >
            {/if}
            {#if of.state !== 'ACTIVE' && of.blockers.length > 0}
              <p class="text-[0.87rem] text-ochre">{of.blockers.join(' ')}</p>
            {/if}
          </li>
        {/each}
      </ul>
    </Panel>
    <Panel title="This week"><DayTurns /></Panel>
  </div>
{/if}
{#if open}
  <OccasionDialog
    bind:open
    title={changed ? changed.occasion.name : 'A new standing mailing'}
    name={`occasion.${changed?.id ?? 'new'}`}
    occasion={changed?.occasion ?? fresh(topics.data?.[0]?.id ?? 1)}
    onsave={save}
  />
{/if}
