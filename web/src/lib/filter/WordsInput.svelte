<script lang="ts">
  import { listsQuery, tagsQuery, topicsQuery } from '$lib/api/queries';
  import type { FilterField } from '$lib/api/types';
  import { createQuery } from '@tanstack/svelte-query';
  import { Input } from 'flowbite-svelte';
  import { toggled } from './draft';

  interface Props {
    field: FilterField;
    values: string[];
    onchange: (values: string[]) => void;
  }

  let { field, values, onchange }: Props = $props();

  const tags = createQuery(() => ({ ...tagsQuery(), enabled: field.name === 'tags' }));
  const lists = createQuery(() => ({ ...listsQuery(), enabled: field.name === 'list' }));
  const topics = createQuery(() => ({ ...topicsQuery(), enabled: field.name === 'topic_left' }));
  const known = $derived(
    field.name === 'tags'
      ? (tags.data ?? [])
      : field.name === 'list'
        ? (lists.data ?? []).map((l) => l.name)
        : field.name === 'topic_left'
          ? (topics.data ?? []).map((t) => t.name)
          : field.name === 'reached_by'
            ? ['E-mail', 'Text message', 'App']
            : []
  );

  /** Words are typed, a comma between them. */
  function read(text: string) {
    onchange(
      text
        .split(',')
        .map((w) => w.trim())
        .filter(Boolean)
    );
  }
</script>

<Input
  aria-label={field.label}
  placeholder="a comma between several"
  value={values.join(', ')}
  onchange={(event: Event) => read((event.target as HTMLInputElement).value)}
/>
{#if known.length}
  <div class="flex max-w-80 flex-wrap gap-1.5" role="group" aria-label={`${field.label}, in use`}>
    {#each known.slice(0, 24) as word (word)}
      <button
        type="button"
        class={`min-h-6 rounded-md border px-2 text-[0.87rem] ${values.includes(word) ? 'border-kelp-mid bg-kelp-pale' : 'border-line hover:border-kelp-mid'}`}
        aria-pressed={values.includes(word)}
        onclick={() => onchange(toggled(values, word))}>{word}</button
      >
    {/each}
  </div>
{/if}
