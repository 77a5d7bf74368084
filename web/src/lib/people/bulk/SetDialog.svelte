<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { FilterField, SelectionBody } from '$lib/api/types';
  import { people } from '$lib/format/numbers';
  import ValueInput from '$lib/field/ValueInput.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import { session } from '$lib/session/session.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { Select } from 'flowbite-svelte';
  import { act } from './doing';
  import { haveAlready, standingNow } from './standing';

  interface Props {
    open: boolean;
    who: SelectionBody;
    count: number;
    fields: FilterField[];
  }

  let { open = $bindable(), who, count, fields }: Props = $props();

  const queries = useQueryClient();
  /** Numbers and addresses are one person's own; tags have an act of their own. */
  const settable = $derived(
    fields.filter((f) => f.editable && !['number', 'email', 'tags'].includes(f.name))
  );
  let name = $state('owner');
  let value = $state('');
  const field = $derived(settable.find((f) => f.name === name));

  /** Looked at before it is set, each time the dialog opens. */
  const now = createQuery(() => ({
    queryKey: ['values-of-many', name, who],
    queryFn: () => answer(api.POST('/api/people/values', { body: { who, field: name } })),
    enabled: open && field !== undefined,
    gcTime: 0
  }));
  const already = $derived(field && now.data ? haveAlready(field, now.data, value) : null);

  async function apply() {
    const given = value.trim() === '' ? null : value;
    if (await act(queries, who, { kind: 'SET', field: name, value: given })) open = false;
  }
</script>

<Ask bind:open title={`Set a field of ${people(count)}`}>
  <form
    id="set-field"
    class="flex flex-col gap-3"
    onsubmit={(event) => {
      event.preventDefault();
      void apply();
    }}
  >
    <label class="flex flex-col gap-1">
      Field
      <Select
        placeholder=""
        items={settable.map((f) => ({ value: f.name, name: f.label }))}
        value={name}
        onchange={(event) => {
          name = event.currentTarget.value;
          value = '';
        }}
      />
    </label>
    {#if field}
      <label class="flex flex-col gap-1">
        Value
        <ValueInput {field} {value} onchange={(text) => (value = text)} />
      </label>
      <p class="text-[0.87rem] text-soft" role="status">
        {now.data ? standingNow(field, now.data, session.zone) : 'Looking how they stand …'}
        {already ? `${people(already)} would stay as they are.` : ''}
      </p>
      <p class="text-[0.87rem] text-soft">An empty value empties the field.</p>
    {/if}
  </form>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    <HouseButton weight="main" type="submit" form="set-field"
      >Set it for {people(count)}</HouseButton
    >
  {/snippet}
</Ask>
