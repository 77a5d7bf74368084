<script lang="ts">
  import type { ListSearch } from '$lib/list/search.svelte';
  import { fieldsQuery } from '$lib/api/queries';
  import { draftOf, sideOf, sides } from '$lib/filter/sides';
  import { createQuery } from '@tanstack/svelte-query';
  import { taskKinds } from './kinds';

  interface Props {
    search: ListSearch;
    oncalendar: () => void;
  }

  let { search, oncalendar }: Props = $props();

  const fields = createQuery(fieldsQuery);
  const all = $derived(sides(taskKinds(fields.data?.related)));
  const side = $derived(sideOf(search.draft, all));
</script>

<nav class="flex flex-wrap items-center gap-x-5" aria-label="Whose tasks">
  {#each all as one (one.name)}
    <button
      type="button"
      class={`min-h-[28px] border-b-2 ${one === side ? 'border-kelp font-semibold' : 'border-transparent text-soft hover:text-ink'}`}
      aria-pressed={one === side}
      onclick={() => search.change(draftOf(one))}>{one.name}</button
    >
  {/each}
  <button type="button" class="ms-auto font-semibold text-kelp hover:underline" onclick={oncalendar}
    >In your calendar…</button
  >
</nav>
