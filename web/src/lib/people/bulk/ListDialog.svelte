<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { listsQuery } from '$lib/api/queries';
  import type { SelectionBody } from '$lib/api/types';
  import { count as counted, people } from '$lib/format/numbers';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import { notices } from '$lib/ui/notices.svelte';
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
  const lists = createQuery(() => ({ ...listsQuery(), enabled: open }));
  let name = $state('');

  async function put(list: number, kind: 'ADD_TO_LIST' | 'TAKE_OFF_LIST') {
    if (await act(queries, who, { kind, list })) open = false;
  }

  async function putOnNew() {
    try {
      const made = await answer(api.POST('/api/lists', { body: { name } }));
      name = '';
      await put(made.id, 'ADD_TO_LIST');
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<Ask bind:open title={`Put ${people(count)} on a list`}>
  <ul class="mb-3 max-h-72 overflow-y-auto" aria-label="Lists">
    {#each lists.data ?? [] as list (list.id)}
      <li class="flex items-center gap-3 border-b border-line-soft py-1.5">
        <span class="flex-1"
          >{list.name} <span class="text-[0.87rem] text-soft">{counted(list.people)}</span></span
        >
        <HouseButton weight="quiet" onclick={() => put(list.id, 'TAKE_OFF_LIST')}
          >Remove them</HouseButton
        >
        <HouseButton onclick={() => put(list.id, 'ADD_TO_LIST')}>Add them</HouseButton>
      </li>
    {/each}
  </ul>
  <form
    class="flex items-end gap-2"
    onsubmit={(event) => {
      event.preventDefault();
      void putOnNew();
    }}
  >
    <label class="flex flex-1 flex-col gap-1">
      A new list
      <Input bind:value={name} maxlength={80} placeholder="Name of the list" />
    </label>
    <HouseButton type="submit" disabled={!name.trim()}>Make the list and add them</HouseButton>
  </form>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
  {/snippet}
</Ask>
