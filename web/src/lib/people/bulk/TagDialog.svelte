<script lang="ts">
  import { tagsQuery } from '$lib/api/queries';
  import type { SelectionBody } from '$lib/api/types';
  import { people } from '$lib/format/numbers';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { Input } from 'flowbite-svelte';
  import { act } from './doing';

  interface Props {
    open: boolean;
    who: SelectionBody;
    count: number;
  }

  let { open = $bindable(), who, count }: Props = $props();

  const queries = useQueryClient();
  const tags = createQuery(() => ({ ...tagsQuery(), enabled: open }));
  let tag = $state('');

  async function apply(kind: 'TAG' | 'UNTAG') {
    if (await act(queries, who, { kind, value: tag })) open = false;
  }
</script>

<Ask bind:open title={`Tag ${people(count)}`}>
  <form
    id="tag-people"
    class="flex flex-col gap-3"
    onsubmit={(event) => {
      event.preventDefault();
      void apply('TAG');
    }}
  >
    <Input
      bind:value={tag}
      aria-label="Tag"
      placeholder="A word or a few"
      maxlength={60}
      data-autofocus
    />
    <div class="flex flex-wrap gap-1.5" role="group" aria-label="Tags in use">
      {#each (tags.data ?? []).slice(0, 24) as known (known)}
        <button
          type="button"
          class={`min-h-6 rounded-md border px-2 text-[0.87rem] ${tag === known ? 'border-kelp-mid bg-kelp-pale' : 'border-line hover:border-kelp-mid'}`}
          onclick={() => (tag = known)}>{known}</button
        >
      {/each}
    </div>
  </form>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    <HouseButton onclick={() => apply('UNTAG')} disabled={!tag.trim()}
      >Take this tag away</HouseButton
    >
    <HouseButton weight="main" type="submit" form="tag-people" disabled={!tag.trim()}
      >Tag them</HouseButton
    >
  {/snippet}
</Ask>
