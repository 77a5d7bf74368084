<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { MailServerTried } from '$lib/api/types';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { protection, triedWords } from './mailServer';

  interface Props {
    mayChange: boolean;
  }

  let { mayChange }: Props = $props();

  const query = createQuery(() => ({
    queryKey: ['mail-server'],
    queryFn: () => answer(api.GET('/api/mail-server'))
  }));
  const server = $derived(query.data);
  let tried = $state.raw<MailServerTried | null>(null);
  let trying = $state(false);

  async function tryOut() {
    trying = true;
    try {
      tried = await answer(api.POST('/api/mail-server/try'));
    } catch (error) {
      notices.fail(error);
    } finally {
      trying = false;
    }
  }
</script>

<section class="panel p-4" aria-label="Mail server">
  <h2 class="mb-2 text-[1rem]">Mail server</h2>
  {#if server}
    <p>{server.host}, port {server.port}</p>
    <p class="text-[0.9rem] text-soft">
      {protection[server.security]}; {server.signsIn ? 'signs in' : 'without signing in'}; {server.connections}
      {server.connections === 1 ? 'connection' : 'connections'} a process. It is set where Jemble is started.
    </p>
  {/if}
  {#if mayChange}
    <div class="mt-2">
      <HouseButton disabled={trying} onclick={tryOut}
        >{trying ? 'Testing…' : 'Test the connection'}</HouseButton
      >
    </div>
  {/if}
  <p class="mt-2" class:text-brick={tried?.failed} role="status">
    {#if tried}{triedWords(tried)}{/if}
  </p>
</section>
