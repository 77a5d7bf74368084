<script lang="ts">
  import { instead } from '$lib/api/instead';
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
  const blank = createQuery(() => ({
    queryKey: ['blank-template'],
    queryFn: () => answer(api.GET('/api/templates/blank')),
    enabled: id === null
  }));
  const letterheads = createQuery(letterheadsQuery);
  const topics = createQuery(topicsQuery);
  /** All three are read at once: a question that nobody has looked at does not say that it is answered. */
  const known = $derived({
    error: query.error ?? blank.error,
    template: query.data,
    blank: blank.data,
    letterheads: letterheads.data,
    topics: topics.data
  });
  const usual = $derived({
    letterheadId: known.letterheads?.[0]?.id ?? null,
    topicId: known.topics?.[0]?.id ?? 0
  });
</script>

{#if instead({ data: known.template ?? known.blank, error: known.error })}
  <Trouble error={known.error} onretry={() => query.refetch()} />
{:else if known.letterheads && known.topics}
  {#if id === null}
    {#if known.blank}
      {#key 'new'}<TemplateForm template={null} {...usual} body={known.blank.body} />{/key}
    {/if}
  {:else if known.template}
    {#key known.template.id}<TemplateForm template={known.template} {...usual} body="" />{/key}
  {/if}
{/if}
