<script lang="ts">
  import { instead } from '$lib/api/instead';
  import { page } from '$app/state';
  import { answer, api } from '$lib/api/client';
  import SignUpForm from '$lib/signup/SignUpForm.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  const id = $derived(Number(page.params.id) || null);
  const query = createQuery(() => ({
    queryKey: ['sign-up-pages', id],
    queryFn: () =>
      answer(api.GET('/api/sign-up-pages/{id}', { params: { path: { id: id ?? 0 } } })),
    enabled: id !== null
  }));
</script>

{#if instead(query)}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if id === null}
  {#key 'new'}<SignUpForm shown={null} />{/key}
{:else if query.data}
  {#key id}<SignUpForm shown={query.data} />{/key}
{/if}
