<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { Person } from '$lib/api/types';
  import { dayAndTime } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  interface Props {
    person: Person;
  }

  let { person }: Props = $props();

  const history = createQuery(() => ({
    queryKey: ['history', person.id],
    queryFn: () =>
      answer(api.GET('/api/people/{id}/history', { params: { path: { id: person.id } } }))
  }));

  const other: Record<string, string> = {
    person: 'On record',
    membership: 'Membership',
    archived: 'Archived',
    task: 'Task',
    office: 'Office',
    merged_into: 'Merged'
  };

  function label(field: string): string {
    const known = person.fields.find((f) => f.name === field)?.label;
    return known ?? other[field] ?? (field.startsWith('list:') ? 'On a list' : 'Moved by a merge');
  }
</script>

<Panel title="Changes">
  <ol class="px-3.5 py-2 text-[0.93rem]">
    {#each history.data ?? [] as change (change.id)}
      <li class="border-b border-line-soft py-1.5 last:border-b-0">
        <span class="font-semibold">{label(change.field)}</span>
        {#if change.before}<span class="text-soft line-through">{change.before}</span>{/if}
        {change.after || (change.before ? 'emptied' : '')}
        <span class="block text-[0.87rem] text-soft"
          >{change.by}, {dayAndTime(change.at, session.zone)}</span
        >
      </li>
    {:else}
      <li class="py-1 text-soft">Nothing was changed since Jemble keeps a history.</li>
    {/each}
  </ol>
</Panel>
