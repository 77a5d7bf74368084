<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { instead } from '$lib/api/instead';
  import Certificates from '$lib/privacy/Certificates.svelte';
  import RetentionForm from '$lib/privacy/RetentionForm.svelte';
  import { session } from '$lib/session/session.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  const query = createQuery(() => ({
    queryKey: ['retention'],
    queryFn: () => answer(api.GET('/api/retention')),
    enabled: session.may('SETTINGS'),
    refetchOnWindowFocus: false
  }));
</script>

<PageHead
  title="Privacy"
  words={session.may('SETTINGS')
    ? 'How long what you hold of people is kept, and who was erased.'
    : session.why('SETTINGS')}
/>
{#if instead(query)}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if query.data}
  <div class="grid max-w-5xl grid-cols-2 items-start gap-3 max-md:grid-cols-1">
    {#key query.data.months.version}
      <RetentionForm standing={query.data} onchanged={() => query.refetch()} />
    {/key}
    <Certificates />
  </div>
{/if}
