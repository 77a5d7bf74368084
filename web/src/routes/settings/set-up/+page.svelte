<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { instead } from '$lib/api/instead';
  import MadeUpPeople from '$lib/setup/MadeUpPeople.svelte';
  import { setUpQuery, setUpWords, steps, type SetUpStep } from '$lib/setup/setUp';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';

  const queries = useQueryClient();
  const query = createQuery(setUpQuery);

  async function leave(step: SetUpStep, later: boolean) {
    try {
      const params = { path: { step } };
      const now = await answer(api.PUT('/api/set-up/{step}/later', { params, body: { later } }));
      queries.setQueryData(['set-up'], now);
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<PageHead title="Set-up" words={query.data ? setUpWords(query.data) : ''} />
{#if instead(query)}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if query.data}
  {@const next = query.data.next}
  <ol class="panel max-w-3xl">
    {#each query.data.steps as { step, done, later }, place (step)}
      <li
        class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line-soft px-4 py-3 last:border-0"
        data-step={step}
      >
        <span
          class={`grid size-7 flex-none place-items-center rounded-full font-semibold ${done ? 'bg-kelp text-on-kelp' : step === next ? 'bg-kelp-pale' : 'bg-shade'}`}
          aria-hidden="true">{done ? '✓' : place + 1}</span
        >
        <div class="min-w-48 flex-1">
          <a class="font-semibold text-kelp hover:underline" href={steps[step].path}
            >{steps[step].name}</a
          >
          <p class="text-soft">{steps[step].words}</p>
          {#if step === 'PEOPLE' && (!done || query.data.madeUp)}<MadeUpPeople
              count={query.data.madeUp}
            />{/if}
        </div>
        <span class="text-soft">{done ? 'done' : later ? 'left for later' : ''}</span>
        {#if !done}
          <HouseButton weight="quiet" onclick={() => leave(step, !later)}
            >{later ? 'Take it up' : 'Leave it for later'}</HouseButton
          >
        {/if}
      </li>
    {/each}
  </ol>
{/if}
