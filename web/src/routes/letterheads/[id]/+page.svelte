<script lang="ts">
  import { instead } from '$lib/api/instead';
  import { page } from '$app/state';
  import { answer, api } from '$lib/api/client';
  import LetterheadForm from '$lib/letterhead/LetterheadForm.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  const id = $derived(Number(page.params.id) || null);
  const query = createQuery(() => ({
    queryKey: ['letterhead', id],
    queryFn: () => answer(api.GET('/api/letterheads/{id}', { params: { path: { id: id ?? 0 } } })),
    enabled: id !== null,
    refetchOnWindowFocus: false
  }));
</script>

{#if instead(query)}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if id === null}
  {#key 'new'}<LetterheadForm letterhead={null} />{/key}
{:else if query.data}
  {#key query.data.id}<LetterheadForm letterhead={query.data} />{/key}
{/if}
