<script lang="ts">
  import type { ListSearch } from '$lib/list/search.svelte';
  import { draftOf, sideOf, SIDES } from '$lib/filter/sides';

  interface Props {
    search: ListSearch;
    oncalendar: () => void;
  }

  let { search, oncalendar }: Props = $props();

  const side = $derived(sideOf(search.draft));
</script>

<nav class="flex flex-wrap items-center gap-x-5" aria-label="Whose tasks">
  {#each SIDES as one (one.name)}
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
