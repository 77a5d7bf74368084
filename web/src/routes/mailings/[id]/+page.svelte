<script lang="ts">
  import { page } from '$app/state';
  import { answer, api } from '$lib/api/client';
  import MailingBench from '$lib/mailing/MailingBench.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  const id = $derived(Number(page.params.id));
  // Asked once for each visit: from then on the bench itself knows best what is written.
  const query = createQuery(() => ({
    queryKey: ['mailing', id],
    queryFn: () => answer(api.GET('/api/mailings/{id}', { params: { path: { id } } })),
    refetchOnWindowFocus: false,
    refetchOnReconnect: false,
    gcTime: 0
  }));
</script>

{#if query.error}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if query.data}
  {#key query.data.id}<MailingBench mailing={query.data} />{/key}
{/if}
