<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { triedPushWords } from './pushService';
  import ServiceCard from './ServiceCard.svelte';

  interface Props {
    mayChange: boolean;
  }

  let { mayChange }: Props = $props();

  const query = createQuery(() => ({
    queryKey: ['push-service'],
    queryFn: () => answer(api.GET('/api/push-service'))
  }));
  const service = $derived(query.data);

  async function tryOut() {
    const tried = await answer(api.POST('/api/push-service/try'));
    return { words: triedPushWords(tried), failed: tried.failed !== null };
  }

  async function copy(key: string) {
    await navigator.clipboard.writeText(key);
    notices.say('The key of this house is copied.');
  }
</script>

<ServiceCard title="Our app" mayTry={mayChange && (service?.set ?? false)} onTry={tryOut}>
  {#if service?.set}
    {#each service.services as address (address)}<p class="break-all">{address}</p>{/each}
    <p class="text-[0.9rem] text-soft">
      Push services may turn to {service.contact || 'nobody yet'}. It is set where Jemble is
      started.
    </p>
    <p class="mt-1 flex items-baseline gap-2 text-[0.9rem]">
      <span class="flex-none text-soft">Public key</span>
      <code class="min-w-0 flex-1 truncate" title={service.publicKey}>{service.publicKey}</code>
      <button
        type="button"
        class="min-h-[24px] font-semibold text-kelp hover:underline"
        onclick={() => copy(service.publicKey)}>Copy</button
      >
    </p>
  {:else if service}
    <p class="text-[0.9rem] text-soft">
      No push service is set, so that nobody is reached in an app. It is set where Jemble is
      started.
    </p>
  {/if}
</ServiceCard>
