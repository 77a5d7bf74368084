<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { ReaderLanguage, SignUpPageBody } from '$lib/api/types';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query';

  interface Props {
    page: SignUpPageBody;
    language: ReaderLanguage;
  }

  let { page, language }: Props = $props();
  let phone = $state(false);

  const proof = createQuery(() => ({
    queryKey: ['sign-up-proof', language, page],
    queryFn: () =>
      answer(
        api.POST('/api/sign-up-pages/proof/{language}', {
          params: { path: { language } },
          body: page
        })
      ),
    placeholderData: keepPreviousData
  }));
</script>

<div class="flex h-full min-h-96 flex-col gap-2">
  <div class="flex gap-4" role="group" aria-label="Seen on">
    {#each [[false, 'On a screen'], [true, 'On a phone']] as const as [narrow, words] (words)}
      <button
        type="button"
        class={`min-h-6 ${phone === narrow ? 'font-bold' : 'text-kelp hover:underline'}`}
        aria-pressed={phone === narrow}
        onclick={() => (phone = narrow)}>{words}</button
      >
    {/each}
  </div>
  {#if proof.error}
    <Trouble error={proof.error} onretry={() => proof.refetch()} />
  {:else}
    <!-- Nothing in it can run, be sent, or reach this page. -->
    <iframe
      title="The page as its readers see it"
      class={`min-h-0 flex-1 rounded-md border border-line bg-white ${phone ? 'mx-auto w-[360px] max-w-full' : 'w-full'}`}
      sandbox=""
      srcdoc={proof.data?.html ?? ''}
    ></iframe>
  {/if}
</div>
