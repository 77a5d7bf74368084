<script lang="ts">
  import { instead } from '$lib/api/instead';
  import { page } from '$app/state';
  import { answer, api } from '$lib/api/client';
  import { lookAhead } from '$lib/check/looking.svelte';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import MailingBench from '$lib/mailing/MailingScreen.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';

  const queries = useQueryClient();
  const id = $derived(Number(page.params.id));
  // The look at everyone takes longest, and needs nothing of the mailing's own answer.
  $effect.pre(() => void lookAhead(queries, id));
  // Asked once for each visit: from then on the mailing's screen itself knows best what is written.
  const query = createQuery(() => ({
    queryKey: ['mailing', id],
    queryFn: () => answer(api.GET('/api/mailings/{id}', { params: { path: { id } } })),
    refetchOnWindowFocus: false,
    refetchOnReconnect: false,
    gcTime: 0
  }));

  async function restore() {
    try {
      await answer(api.POST('/api/mailings/{id}/restore', { params: { path: { id } } }));
      await query.refetch();
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

{#if instead(query)}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if query.data?.state === 'DISCARDED'}
  <div class="panel p-6">
    <p class="mb-3">“{query.data.name}” has been discarded.</p>
    {#if session.may('WRITE_TO_ONE')}<HouseButton weight="main" onclick={restore}
        >Take it back</HouseButton
      >{/if}
  </div>
{:else if query.data}
  {#key query.data.id}<MailingBench mailing={query.data} />{/key}
{/if}
