<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { Summary } from '$lib/api/types';
  import { UNTOLD } from '$lib/live/live';
  import Panel from '$lib/ui/Panel.svelte';
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query';
  import CourseChart from './CourseChart.svelte';
  import EarlierTable from './EarlierTable.svelte';
  import GroupTable from './GroupTable.svelte';
  import LinkTable from './LinkTable.svelte';
  import type { By, View } from '$lib/response/results';

  interface Props {
    summary: Summary;
    view: View;
    by: By;
    /** Goes to the address with this question. */
    onask: (question: Record<string, string>) => void;
  }

  let { summary, view, by, onask }: Props = $props();

  const params = $derived({ path: { mailing: summary.id } });
  const key = $derived(['responses', 'view', summary.id]);
  const course = createQuery(() => ({
    queryKey: [...key, 'course'],
    queryFn: () => answer(api.GET('/api/responses/{mailing}/course', { params })),
    enabled: view === 'course',
    refetchInterval: UNTOLD
  }));
  const links = createQuery(() => ({
    queryKey: [...key, 'links'],
    queryFn: () => answer(api.GET('/api/responses/{mailing}/links', { params })),
    enabled: view === 'links',
    refetchInterval: UNTOLD
  }));
  const groups = createQuery(() => ({
    queryKey: [...key, 'groups', by],
    queryFn: () =>
      answer(api.GET('/api/responses/{mailing}/groups', { params: { ...params, query: { by } } })),
    enabled: view === 'groups',
    placeholderData: keepPreviousData,
    refetchInterval: UNTOLD
  }));
  const earlier = createQuery(() => ({
    queryKey: [...key, 'earlier'],
    queryFn: () => answer(api.GET('/api/responses/{mailing}/earlier', { params })),
    enabled: view === 'earlier'
  }));
</script>

{#if view === 'course'}
  <Panel title="Over time" scrolls>
    {#snippet aside()}how many had read, clicked and replied by then{/snippet}
    {#if course.data}<CourseChart course={course.data} onopen={(did) => onask({ did })} />{/if}
  </Panel>
{:else if view === 'links'}
  <Panel title="Links" scrolls>
    {#snippet aside()}software’s clicks are counted apart{/snippet}
    {#if links.data}<LinkTable links={links.data} onopen={(link) => onask({ link })} />{/if}
  </Panel>
{:else if view === 'groups'}
  <Panel title="By group" scrolls>
    {#snippet aside()}in brackets: the range at 95% confidence{/snippet}
    {#if groups.data}
      <GroupTable
        groups={groups.data}
        {by}
        onby={(other) => onask({ view: 'groups', by: other })}
        onopen={(value, only) => onask({ by, value, ...only })}
      />
    {/if}
  </Panel>
{:else}
  <Panel title="Against earlier mailings" scrolls>
    {#snippet aside()}about the same topic{/snippet}
    {#if earlier.data}<EarlierTable {summary} earlier={earlier.data} />{/if}
  </Panel>
{/if}
