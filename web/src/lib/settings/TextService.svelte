<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { TextServiceTried } from '$lib/api/types';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { triedTextWords } from './textService';

  interface Props {
    mayChange: boolean;
  }

  let { mayChange }: Props = $props();

  const query = createQuery(() => ({
    queryKey: ['text-service'],
    queryFn: () => answer(api.GET('/api/text-service'))
  }));
  const service = $derived(query.data);
  let tried = $state.raw<TextServiceTried | null>(null);
  let trying = $state(false);

  async function tryOut() {
    trying = true;
    try {
      tried = await answer(api.POST('/api/text-service/try'));
    } catch (error) {
      notices.fail(error);
    } finally {
      trying = false;
    }
  }
</script>

<section class="panel p-4" aria-label="Text service">
  <h2 class="mb-2 text-[1rem]">Text service</h2>
  {#if service?.set}
    <p>{service.host}, port {service.port}</p>
    <p class="text-[0.9rem] text-soft">
      {service.secure ? 'Protected by TLS' : 'Not protected'}; signs in as {service.user}; texts
      come from {service.sender || 'nobody yet'}; at most {service.perSecond} parts a second. It is set
      where Jemble is started.
    </p>
  {:else if service}
    <p class="text-[0.9rem] text-soft">
      None is set, so that nobody can be texted. It is set where Jemble is started.
    </p>
  {/if}
  {#if mayChange && service?.set}
    <div class="mt-2">
      <HouseButton disabled={trying} onclick={tryOut}
        >{trying ? 'Testing…' : 'Test the connection'}</HouseButton
      >
    </div>
  {/if}
  <p class="mt-2" class:text-brick={tried?.failed} role="status">
    {#if tried}{triedTextWords(tried)}{/if}
  </p>
</section>
