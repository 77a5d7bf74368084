<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { createQuery } from '@tanstack/svelte-query';
  import { protection, triedWords } from './mailServer';
  import ServiceCard from './ServiceCard.svelte';

  interface Props {
    mayChange: boolean;
  }

  let { mayChange }: Props = $props();

  const query = createQuery(() => ({
    queryKey: ['mail-server'],
    queryFn: () => answer(api.GET('/api/mail-server'))
  }));
  const server = $derived(query.data);

  async function tryOut() {
    const tried = await answer(api.POST('/api/mail-server/try'));
    return { words: triedWords(tried), failed: tried.failed !== null };
  }
</script>

<ServiceCard title="Mail server" mayTry={mayChange} onTry={tryOut}>
  {#if server}
    <p>{server.host}, port {server.port}</p>
    <p class="text-[0.9rem] text-soft">
      {protection[server.security]}; {server.signsIn ? 'signs in' : 'without signing in'}; {server.connections}
      {server.connections === 1 ? 'connection' : 'connections'} a process. It is set where Jemble is started.
    </p>
  {/if}
</ServiceCard>
