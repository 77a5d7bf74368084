<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { instead } from '$lib/api/instead';
  import type { TopicsAndPlans } from '$lib/api/types';
  import GroupList from '$lib/house/GroupList.svelte';
  import StandingList from '$lib/house/StandingList.svelte';
  import PlanList from '$lib/house/PlanList.svelte';
  import TopicList from '$lib/house/TopicList.svelte';
  import { session } from '$lib/session/session.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';

  const queries = useQueryClient();
  const query = createQuery(() => ({
    queryKey: ['house-words'],
    queryFn: () => answer(api.GET('/api/house/words'))
  }));
  const mayChange = $derived(session.may('SETTINGS'));

  /** Filters, lists and people say it by its new name. */
  function keep(now: TopicsAndPlans) {
    queries.setQueryData(['house-words'], now);
    void queries.invalidateQueries();
  }
</script>

<PageHead
  title="Words of the house"
  words={mayChange
    ? 'What people can leave, what members can have, where each stands, what is to be done, and which offices there are.'
    : session.why('SETTINGS')}
/>
{#if instead(query)}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if query.data}
  <div class="grid max-w-5xl grid-cols-2 items-start gap-3 max-md:grid-cols-1">
    <TopicList topics={query.data.topics} {mayChange} onchanged={keep} />
    <PlanList plans={query.data.plans} {mayChange} onchanged={keep} />
    <StandingList about="STATUS" {mayChange} />
    <StandingList about="STAGE" {mayChange} />
    <StandingList about="TASK" {mayChange} />
    <GroupList {mayChange} />
    <div class="col-span-full"><StandingList about="OFFICE" {mayChange} /></div>
  </div>
{/if}
