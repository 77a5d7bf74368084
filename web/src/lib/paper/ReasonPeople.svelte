<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { PrintRun, Reach } from '$lib/api/types';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  interface Props {
    run: PrintRun;
    reason: Reach;
    words: string;
    editable: boolean;
    /** Takes somebody in again who was left out by hand. */
    onputback: (personId: number) => void;
    onclose: () => void;
  }

  let { run, reason, words, editable, onputback, onclose }: Props = $props();

  const people = createQuery(() => ({
    queryKey: ['print-without', run.id, run.version, reason],
    queryFn: () =>
      answer(
        api.GET('/api/print-runs/{id}/without', {
          params: { path: { id: run.id }, query: { reason } }
        })
      )
  }));
</script>

<section aria-label={`Who gets no label: ${words}`}>
  <div class="flex items-baseline justify-between gap-3">
    <h2 class="text-[1.07rem] first-letter:uppercase">{words}</h2>
    <HouseButton weight="quiet" onclick={onclose}>Close</HouseButton>
  </div>
  {#if people.error}
    <Trouble error={people.error} onretry={() => people.refetch()} />
  {:else}
    <ul class="mt-1">
      {#each people.data ?? [] as person (person.personId)}
        <li class="flex items-baseline justify-between gap-2 py-1">
          <a class="font-semibold text-kelp hover:underline" href={`/people/${person.personId}`}
            >{person.name}</a
          >
          {#if reason === 'LEFT_OUT' && editable}
            <HouseButton weight="quiet" onclick={() => onputback(person.personId)}
              >Take in again</HouseButton
            >
          {/if}
        </li>
      {/each}
    </ul>
  {/if}
</section>
