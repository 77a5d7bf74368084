<script lang="ts">
  import { peopleNamed } from '$lib/api/named';
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query';
  import { Input } from 'flowbite-svelte';

  interface Props {
    /** Who is shown. */
    name: string;
    onchoose: (id: number) => void;
  }

  let { name, onchoose }: Props = $props();
  let words = $state('');
  const found = createQuery(() => ({
    ...peopleNamed(words, ['email']),
    placeholderData: keepPreviousData
  }));
  const rows = $derived(words.trim().length > 1 ? (found.data ?? []).slice(0, 6) : []);

  function choose(id: number) {
    words = '';
    onchoose(id);
  }
</script>

<div class="grid grid-cols-[minmax(0,1fr)_10rem] items-center gap-x-3">
  <h2 class="truncate text-[1rem]" title={name}>{name}</h2>
  <Input
    class="py-1"
    bind:value={words}
    placeholder="Somebody else"
    aria-label="Show somebody else"
    autocomplete="off"
    onkeydown={(event: KeyboardEvent) => {
      if (event.key === 'Enter' && rows[0]) choose(rows[0].id);
    }}
  />
</div>
{#if rows.length}
  <ul>
    {#each rows as row (row.id)}
      <li>
        <button
          type="button"
          class="flex min-h-[26px] w-full gap-2 text-left text-kelp hover:underline max-md:min-h-[44px]"
          onclick={() => choose(row.id)}
        >
          {row.name} <span class="truncate text-soft">{row.cells[0] ?? ''}</span>
        </button>
      </li>
    {/each}
  </ul>
{/if}
