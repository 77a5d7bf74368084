<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { ChangeTold, Person } from '$lib/api/types';
  import { dayAndTime } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { undo } from './bulk/doing';
  import { offersTakingBack } from './person';

  interface Props {
    person: Person;
  }

  let { person }: Props = $props();

  const queries = useQueryClient();
  const history = createQuery(() => ({
    queryKey: ['history', person.id],
    queryFn: () =>
      answer(api.GET('/api/people/{id}/history', { params: { path: { id: person.id } } }))
  }));
  let asked = $state<ChangeTold | null>(null);

  const other: Record<string, string> = {
    person: 'On record',
    membership: 'Membership',
    archived: 'Archived',
    task: 'Task',
    office: 'Office',
    merged_into: 'Merged',
    series_in: 'Came into a series',
    series_out: 'Taken out of a series'
  };

  function label(field: string): string {
    const known = person.fields.find((f) => f.name === field)?.label;
    if (field.startsWith('office_ended:')) return 'Office';
    return known ?? other[field] ?? (field.startsWith('list:') ? 'On a list' : 'Moved by a merge');
  }

  /** What was made for them or done with them is told by the act; its number says nothing. */
  const told = (change: ChangeTold) =>
    change.field === 'task' || /^(series_|office)/.test(change.field)
      ? change.words
      : change.after || (change.before ? 'emptied' : '');

  function takeBack(change: ChangeTold) {
    asked = null;
    void undo(queries, change.act);
  }
</script>

<Panel title="Changes">
  <ol class="px-3.5 py-2 text-[0.93rem]">
    {#each history.data ?? [] as change, i (change.id)}
      <li class="border-b border-line-soft py-1.5 last:border-b-0">
        <span class="font-semibold">{label(change.field)}</span>
        {#if change.before}<span class="text-soft line-through">{change.before}</span>{/if}
        {told(change)}
        <span class="flex flex-wrap items-baseline gap-x-2 text-[0.87rem] text-soft">
          {change.by}, {dayAndTime(change.at, session.zone)}
          {#if change.undone}
            <span>· taken back</span>
          {:else if offersTakingBack(history.data ?? [], i)}
            <button
              type="button"
              class="min-h-6 text-kelp hover:underline"
              aria-label={`Take back “${change.words}” …`}
              onclick={() => (asked = change)}>Take back …</button
            >
          {/if}
        </span>
      </li>
    {:else}
      <li class="py-1 text-soft">Nothing was changed since Jemble keeps a history.</li>
    {/each}
  </ol>
</Panel>

<Ask
  bind:open={() => asked !== null, (open) => (asked = open ? asked : null)}
  title={`Take back “${asked?.words}”?`}
>
  <p>
    It is set back for everyone whom it changed. What somebody has changed again since stays as it
    is.
  </p>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (asked = null)}>Not now</HouseButton>
    <HouseButton weight="main" first onclick={() => asked && takeBack(asked)}
      >Take it back</HouseButton
    >
  {/snippet}
</Ask>
