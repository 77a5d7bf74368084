<script lang="ts">
  import { goto } from '$app/navigation';
  import { answer, api } from '$lib/api/client';
  import type { Person } from '$lib/api/types';
  import { cellWords } from '$lib/list/cell';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { undo } from './bulk/doing';
  import { personQuery } from './person';

  interface Props {
    open: boolean;
    /** Who stays. */
    person: Person;
    /** Whose record becomes part of it. */
    other: number;
  }

  let { open = $bindable(), person, other }: Props = $props();

  const queries = useQueryClient();
  const query = createQuery(() => ({ ...personQuery(other), enabled: open }));
  const them = $derived(query.data);
  /** Fields in which the two differ, and that can be chosen. */
  const differing = $derived(
    person.fields.filter(
      (f) => f.editable && f.name !== 'asked_not' && ![f.text, null].includes(textOf(f.name))
    )
  );
  let taken = $state<Record<string, boolean>>({});

  function textOf(field: string): string | null {
    return them?.fields.find((f) => f.name === field)?.text ?? null;
  }

  /** What the one who stays lacks is taken over unless one says otherwise. */
  const isTaken = (name: string) =>
    taken[name] ?? person.fields.find((f) => f.name === name)?.text === null;

  async function merge() {
    const take = differing.map((f) => f.name).filter(isTaken);
    try {
      const { act } = await answer(
        api.POST('/api/people/{id}/merge', {
          params: { path: { id: person.id } },
          body: { other, take }
        })
      );
      open = false;
      await queries.invalidateQueries();
      await goto(`/people/${person.id}`);
      notices.say('The two records are merged.', () => void undo(queries, act));
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<Ask bind:open title={`Merge ${person.name} and ${them?.name ?? '…'}`} wide>
  <p class="mb-3 text-soft">
    Choose each value that is kept. What passed between us, quotes, tasks, offices and lists of both
    stay together; the other record is archived.
  </p>
  {#if them && differing.length}
    <table class="w-full text-[0.95rem]">
      <thead>
        <tr class="text-left text-[0.8rem] text-soft">
          <th scope="col" class="py-1 font-semibold">Field</th>
          <th scope="col" class="font-semibold">This record</th>
          <th scope="col" class="font-semibold">The other</th>
        </tr>
      </thead>
      <tbody>
        {#each differing as field (field.name)}
          <tr class="border-t border-line-soft">
            <th scope="row" class="py-1.5 pe-3 text-left font-normal text-soft">{field.label}</th>
            {#each [false, true] as fromOther (fromOther)}
              <td class="pe-3">
                <label class="flex min-h-6 items-center gap-2">
                  <input
                    type="radio"
                    class="text-kelp"
                    name={`take-${field.name}`}
                    checked={isTaken(field.name) === fromOther}
                    onchange={() => (taken[field.name] = fromOther)}
                  />
                  {cellWords(field, fromOther ? textOf(field.name) : field.text, session.zone) ||
                    '—'}
                </label>
              </td>
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
  {:else if them}
    <p>The other record has no value that this one does not have.</p>
  {/if}
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    <HouseButton weight="main" onclick={merge} disabled={!them}>Merge the records</HouseButton>
  {/snippet}
</Ask>
