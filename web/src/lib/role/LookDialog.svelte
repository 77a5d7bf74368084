<script lang="ts">
  import { instead } from '$lib/api/instead';
  import { answer, api } from '$lib/api/client';
  import type { HouseRole } from '$lib/api/types';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { limitWords } from './roles';

  interface Props {
    role: HouseRole;
    onclose: () => void;
  }

  let { role, onclose }: Props = $props();
  const query = createQuery(() => ({
    queryKey: ['role-acts', role.id],
    queryFn: () => answer(api.GET('/api/roles/{id}/acts', { params: { path: { id: role.id } } })),
    staleTime: 0
  }));
  const may = $derived(query.data?.filter((a) => !a.refused) ?? []);
  const mayNot = $derived(query.data?.filter((a) => a.refused) ?? []);
</script>

<Ask bind:open={() => true, (is) => !is && onclose()} title={`Look as ${role.name}`}>
  {#if instead(query)}
    <Trouble error={query.error} onretry={() => query.refetch()} />
  {:else if query.data}
    <h3 class="font-semibold">They are offered</h3>
    <ul class="list-disc ps-5">
      <li>
        {role.limits.ownPeople
          ? 'Lists, messages and answers of the people they own'
          : 'Every list, message and answer that is not private to somebody'}
      </li>
      {#each may as act (act.right)}<li>{act.words}</li>{/each}
    </ul>
    {#if limitWords(role).length}
      <h3 class="mt-3 font-semibold">As far as this</h3>
      <ul class="list-disc ps-5">
        {#each limitWords(role) as words (words)}<li>{words}</li>{/each}
      </ul>
    {/if}
    {#if mayNot.length}
      <h3 class="mt-3 font-semibold">They are told, should they try</h3>
      <ul class="list-disc ps-5 text-soft">
        {#each mayNot as act (act.right)}<li>{act.refused}</li>{/each}
      </ul>
    {/if}
  {/if}
  {#snippet actions()}
    <HouseButton weight="main" onclick={onclose}>Close</HouseButton>
  {/snippet}
</Ask>
