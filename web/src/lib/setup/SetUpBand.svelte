<script lang="ts">
  import { page } from '$app/state';
  import { answer, api } from '$lib/api/client';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { setUpQuery, steps } from './setUp';

  const queries = useQueryClient();
  const query = createQuery(() => ({
    ...setUpQuery(),
    refetchInterval: (asked) => (asked.state.data?.next ? 15_000 : false)
  }));
  const next = $derived(query.data?.next ?? null);
  const isHere = $derived(next !== null && page.url.pathname === steps[next].path);

  async function leave() {
    if (!next) return;
    try {
      const now = await answer(
        api.PUT('/api/set-up/{step}/later', {
          params: { path: { step: next } },
          body: { later: true }
        })
      );
      queries.setQueryData(['set-up'], now);
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

{#if next && page.url.pathname !== '/settings/set-up'}
  <aside
    class="flex flex-none flex-wrap items-center gap-x-4 gap-y-1 rounded-lg bg-kelp-pale px-4 py-2"
    aria-label="Set-up"
  >
    <p class="min-w-0 flex-1">
      {#if isHere}
        <strong>Set-up: {steps[next].name}.</strong> {steps[next].words}
      {:else}
        <a class="font-semibold text-kelp underline" href={steps[next].path}
          >Go on: {steps[next].name}</a
        >
      {/if}
    </p>
    {#if isHere}<HouseButton weight="quiet" onclick={leave}>Leave it for later</HouseButton>{/if}
    <a class="text-kelp hover:underline" href="/settings/set-up">All steps</a>
  </aside>
{/if}
