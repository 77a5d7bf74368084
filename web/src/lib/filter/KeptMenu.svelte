<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { keptFiltersQuery } from '$lib/api/queries';
  import type { Filter, Kept, Layout } from '$lib/api/types';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import Popup from '$lib/ui/Popup.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { Checkbox, Input } from 'flowbite-svelte';

  interface Props {
    subject: 'people' | 'quotes' | 'tasks' | 'events';
    /** The name of the kept filter that is shown, or null. */
    shown: string | null;
    filter: Filter;
    layout: Layout;
    onshow: (kept: Kept) => void;
    onkept: (name: string) => void;
  }

  let { subject, shown, filter, layout, onshow, onkept }: Props = $props();

  const queries = useQueryClient();
  const kept = createQuery(() => keptFiltersQuery(subject));
  const mine = $derived((kept.data ?? []).filter((k) => k.mine));
  const others = $derived((kept.data ?? []).filter((k) => !k.mine));

  let open = $state(false);
  let keeping = $state(false);
  let name = $state('');
  let shared = $state(false);

  function begin() {
    const own = mine.find((k) => k.name === shown);
    name = own?.name ?? '';
    shared = own?.shared ?? false;
    keeping = true;
  }

  async function keep() {
    try {
      await answer(api.POST('/api/filters', { body: { subject, name, filter, layout, shared } }));
      keeping = false;
      onkept(name.trim());
      await queries.invalidateQueries({ queryKey: ['kept-filters'] });
    } catch (error) {
      notices.fail(error);
    }
  }

  async function remove(one: Kept) {
    try {
      await answer(api.DELETE('/api/filters/{id}', { params: { path: { id: one.id } } }));
      await queries.invalidateQueries({ queryKey: ['kept-filters'] });
      const { filter: was, layout: wasLayout, name: wasName, shared: wasShared } = one;
      notices.say(`“${wasName}” is no longer kept.`, async () => {
        const body = { subject, name: wasName, filter: was, layout: wasLayout, shared: wasShared };
        await answer(api.POST('/api/filters', { body }));
        await queries.invalidateQueries({ queryKey: ['kept-filters'] });
      });
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

{#snippet list(title: string, all: Kept[])}
  {#if all.length}
    <h3 class="mt-1 mb-0.5 text-[0.87rem] text-soft">{title}</h3>
    <ul aria-label={title}>
      {#each all as one (one.id)}
        <li class="flex items-center">
          <button
            type="button"
            class="flex-1 rounded px-1.5 py-1 text-left hover:bg-kelp-pale"
            onclick={() => ((open = false), onshow(one))}
            >{one.name}
            {#if !one.mine}<span class="text-[0.8rem] text-soft">{one.by}</span>
            {:else if one.shared}<span class="text-[0.8rem] text-soft">shared</span>{/if}</button
          >
          {#if one.mine}
            <button
              type="button"
              class="min-h-6 min-w-6 text-soft hover:text-brick"
              aria-label={`Do not keep “${one.name}”`}
              onclick={() => remove(one)}>×</button
            >
          {/if}
        </li>
      {/each}
    </ul>
  {/if}
{/snippet}

<Popup bind:open label="Kept filters" right>
  {#snippet trigger(toggle)}
    <HouseButton onclick={toggle}>{shown ?? 'Kept filters'} ▾</HouseButton>
  {/snippet}
  <div class="max-h-96 w-72 overflow-y-auto">
    {@render list('Yours', mine)}
    {@render list('Shared by colleagues', others)}
    {#if !kept.data?.length}
      <p class="text-soft">None yet. Build a filter and keep it under a name.</p>
    {/if}
  </div>
</Popup>
<HouseButton onclick={begin}>Keep this filter</HouseButton>

<Ask bind:open={keeping} title="Keep this filter">
  <form
    id="keep-filter"
    class="flex flex-col gap-3"
    onsubmit={(event) => {
      event.preventDefault();
      void keep();
    }}
  >
    <label class="flex flex-col gap-1">
      Name
      <Input bind:value={name} maxlength={80} required autocomplete="off" data-autofocus />
    </label>
    <Checkbox bind:checked={shared}>Colleagues may use it</Checkbox>
    <p class="text-[0.87rem] text-soft">
      Columns and order are kept with it. “Me” stays whoever looks.
    </p>
  </form>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (keeping = false)}>Not now</HouseButton>
    <HouseButton weight="main" type="submit" form="keep-filter">Keep</HouseButton>
  {/snippet}
</Ask>
