<script lang="ts">
  import { page } from '$app/state';
  import { answer, api } from '$lib/api/client';
  import { letterheadsQuery, topicsQuery } from '$lib/api/queries';
  import TemplateForm from '$lib/template/TemplateForm.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  const id = $derived(Number(page.params.id) || null);
  const query = createQuery(() => ({
    queryKey: ['template', id],
    queryFn: () => answer(api.GET('/api/templates/{id}', { params: { path: { id: id ?? 0 } } })),
    enabled: id !== null,
    refetchOnWindowFocus: false
  }));
  const letterheads = createQuery(letterheadsQuery);
  const topics = createQuery(topicsQuery);
  const usual = $derived({
    letterheadId: letterheads.data?.[0]?.id ?? null,
    topicId: topics.data?.[0]?.id ?? 0
  });
</script>

{#if query.error}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if letterheads.data && topics.data}
  {#if id === null}
    {#key 'new'}<TemplateForm template={null} {...usual} />{/key}
  {:else if query.data}
    {#key query.data.id}<TemplateForm template={query.data} {...usual} />{/key}
  {/if}
{/if}
