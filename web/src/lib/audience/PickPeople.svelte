<script lang="ts">
  import { peopleNamed } from '$lib/api/named';
  import { Input } from 'flowbite-svelte';
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query';

  interface Props {
    picks: number[];
    onpick: (id: number) => void;
  }

  let { picks, onpick }: Props = $props();
  let words = $state('');
  const found = createQuery(() => ({
    ...peopleNamed(words, ['email']),
    placeholderData: keepPreviousData
  }));
  const rows = $derived(words.trim().length > 1 ? (found.data ?? []).slice(0, 6) : []);
</script>

<Input
  class="mt-2"
  bind:value={words}
  placeholder="Add somebody by name"
  aria-label="Add somebody by name"
  autocomplete="off"
/>
<ul>
  {#each rows as row (row.id)}
    <li class="flex justify-between gap-3 py-1">
      <span class="truncate">{row.name} <span class="text-soft">{row.cells[0] ?? ''}</span></span>
      {#if picks.includes(row.id)}
        <span class="text-soft">is in</span>
      {:else}
        <button type="button" class="text-kelp hover:underline" onclick={() => onpick(row.id)}
          >add</button
        >
      {/if}
    </li>
  {/each}
</ul>
