<script lang="ts">
  import { goto } from '$app/navigation';
  import { answer, api } from '$lib/api/client';
  import { listsQuery } from '$lib/api/queries';
  import type { PersonList } from '$lib/api/types';
  import { everyone } from '$lib/filter/draft';
  import { people } from '$lib/format/numbers';
  import { searches } from '$lib/list/search.svelte';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { Input } from 'flowbite-svelte';

  const queries = useQueryClient();
  const lists = createQuery(listsQuery);
  const mayWrite = $derived(session.may('WORK'));
  let name = $state('');
  let renaming = $state<{ id: number; name: string } | null>(null);

  async function step(work: () => Promise<unknown>) {
    try {
      await work();
      await queries.invalidateQueries();
    } catch (error) {
      notices.fail(error);
    }
  }

  const make = () =>
    step(async () => {
      await answer(api.POST('/api/lists', { body: { name } }));
      name = '';
    });

  const rename = () =>
    step(async () => {
      if (!renaming) return;
      const { id, name: words } = renaming;
      await answer(api.PUT('/api/lists/{id}', { params: { path: { id } }, body: { name: words } }));
      renaming = null;
    });

  const remove = (list: PersonList) =>
    step(() => answer(api.DELETE('/api/lists/{id}', { params: { path: { id: list.id } } })));

  function open(list: PersonList) {
    searches.people.change({
      ...everyone,
      parts: [
        {
          is: 'condition',
          condition: { field: 'list', operator: 'HAS_ANY', values: [list.name] }
        }
      ]
    });
    void goto('/people');
  }
</script>

<PageHead title="Lists" words="People picked by hand and kept together." />
<ul class="panel max-w-3xl">
  {#each lists.data ?? [] as list (list.id)}
    <li class="flex flex-wrap items-center gap-3 border-b border-line-soft px-3.5 py-2">
      {#if renaming?.id === list.id}
        <form
          class="flex flex-1 gap-2"
          onsubmit={(event) => {
            event.preventDefault();
            void rename();
          }}
        >
          <Input bind:value={renaming.name} maxlength={80} aria-label="Name of the list" />
          <HouseButton type="submit">Save</HouseButton>
        </form>
      {:else}
        <button type="button" class="flex-1 text-left hover:underline" onclick={() => open(list)}
          ><span class="font-semibold">{list.name}</span>
          <span class="text-soft">{people(list.people)} · made by {list.by}</span></button
        >
        {#if mayWrite}
          <HouseButton weight="quiet" onclick={() => (renaming = { id: list.id, name: list.name })}
            >Rename</HouseButton
          >
          {#if list.people === 0}
            <HouseButton weight="quiet" onclick={() => remove(list)}>Delete this list</HouseButton>
          {/if}
        {/if}
      {/if}
    </li>
  {:else}
    <li class="px-3.5 py-3 text-soft">
      {lists.isSuccess ? 'No list yet. Make one, then pick people and put them on.' : 'Looking…'}
    </li>
  {/each}
</ul>
{#if mayWrite}
  <form
    class="flex max-w-3xl items-end gap-2"
    onsubmit={(event) => {
      event.preventDefault();
      void make();
    }}
  >
    <label class="flex flex-1 flex-col gap-1">
      A new list
      <Input bind:value={name} maxlength={80} placeholder="Name of the list" />
    </label>
    <HouseButton type="submit" disabled={!name.trim()}>Make the list</HouseButton>
  </form>
{/if}
