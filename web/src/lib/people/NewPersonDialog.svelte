<script lang="ts">
  import { goto } from '$app/navigation';
  import { answer, api, ApiProblem } from '$lib/api/client';
  import type { FilterField } from '$lib/api/types';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import ValueInput from '$lib/field/ValueInput.svelte';

  interface Props {
    open: boolean;
    fields: FilterField[];
  }

  let { open = $bindable(), fields }: Props = $props();

  const queries = useQueryClient();
  const attributes = createQuery(() => ({
    queryKey: ['attributes'],
    queryFn: () => answer(api.GET('/api/attributes')),
    enabled: open
  }));
  const asked = $derived([
    'kind',
    'first_name',
    'last_name',
    'email',
    'phone',
    'plan',
    'owner',
    ...(attributes.data ?? []).filter((a) => a.required).map((a) => a.name)
  ]);
  let values = $state<Record<string, string>>({ kind: 'contact' });
  let wrong = $state<{ field: string; words: string } | null>(null);

  async function add() {
    const given = Object.fromEntries(Object.entries(values).filter(([, v]) => v.trim() !== ''));
    try {
      const added = await answer(api.POST('/api/people', { body: { values: given } }));
      open = false;
      values = { kind: 'contact' };
      wrong = null;
      void queries.invalidateQueries();
      await goto(`/people/${added.id}`);
    } catch (error) {
      if (error instanceof ApiProblem && asked.includes(error.field)) {
        wrong = { field: error.field, words: error.message };
      } else notices.fail(error);
    }
  }
</script>

<Ask bind:open title="New person">
  <form
    id="new-person"
    class="grid grid-cols-2 gap-3"
    onsubmit={(event) => {
      event.preventDefault();
      void add();
    }}
  >
    {#each asked as name (name)}
      {@const field = fields.find((f) => f.name === name)}
      {#if field}
        <label class="flex flex-col gap-1">
          {field.label}
          <ValueInput
            {field}
            value={values[name] ?? ''}
            autofocus={name === 'first_name'}
            onchange={(text) => (values[name] = text)}
          />
          {#if wrong?.field === name}
            <span class="text-[0.87rem] text-brick" role="alert">{wrong.words}</span>
          {/if}
        </label>
      {/if}
    {/each}
  </form>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    <HouseButton weight="main" type="submit" form="new-person">Add</HouseButton>
  {/snippet}
</Ask>
