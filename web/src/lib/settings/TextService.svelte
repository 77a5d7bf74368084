<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { createQuery } from '@tanstack/svelte-query';
  import ServiceCard from './ServiceCard.svelte';
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

  async function tryOut() {
    const tried = await answer(api.POST('/api/text-service/try'));
    return { words: triedTextWords(tried), failed: tried.failed !== null };
  }
</script>

<ServiceCard title="Text service" mayTry={mayChange && (service?.set ?? false)} onTry={tryOut}>
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
</ServiceCard>
