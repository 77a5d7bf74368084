<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { count, people } from '$lib/format/numbers';
  import { queryOf } from '$lib/list/address';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { holdersOf } from './group';
  import WordLine from './WordLine.svelte';

  let { mayChange }: { mayChange: boolean } = $props();
  const queries = useQueryClient();
  const query = createQuery(() => ({
    queryKey: ['house-standing'],
    queryFn: () => answer(api.GET('/api/house/standing'))
  }));
  const groups = $derived(query.data?.groups ?? []);

  async function rename(name: string, to: string) {
    const now = await answer(
      api.PUT('/api/house/standing/OFFICE/group/name', { body: { name, to } })
    );
    queries.setQueryData(['house-standing'], now);
    void queries.invalidateQueries();
    notices.say(`“${name}” is “${to.trim()}” now, for its offices and in every filter.`);
  }

  const address = (group: string) =>
    `/people?${queryOf({ filter: holdersOf(group), part: null, archived: false, sortBy: null, descending: false })}`;
</script>

{#if groups.length}
  <section class="panel flex flex-col gap-1 p-4" aria-label="Groups of offices">
    <h2 class="text-[1rem]">Groups of offices</h2>
    <p class="mb-1 text-[0.9rem] text-soft">
      Whoever holds an office of a group today is found, and written to, in one step.
    </p>
    <ul>
      {#each groups as group (group.name)}
        <WordLine name={group.name} {mayChange} onrename={(to) => rename(group.name, to)}>
          {#if group.people}
            <a
              class="inline-flex min-h-6 items-center text-kelp hover:underline"
              href={address(group.name)}
              aria-label={`Find the ${count(group.people)} of ${group.name}`}
              >{people(group.people)}</a
            >
          {:else}
            <span class="text-[0.9rem] text-soft">nobody today</span>
          {/if}
        </WordLine>
      {/each}
    </ul>
  </section>
{/if}
