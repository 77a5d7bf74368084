<script lang="ts">
  import { rulePeopleQuery } from '$lib/api/queries';
  import type { FollowRule } from '$lib/api/types';
  import { dayAndTime } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  interface Props {
    open: boolean;
    mailingId: number;
    rule: FollowRule;
    which: 'WILL' | 'DONE' | 'NOT';
  }

  let { open = $bindable(), mailingId, rule, which }: Props = $props();

  const people = createQuery(() => rulePeopleQuery(mailingId, rule.id, which));
  const TITLES = {
    WILL: 'Whom it will touch, if nothing changes',
    DONE: 'For whom it was done',
    NOT: 'Who was no longer meant, and why'
  };
</script>

<Ask bind:open title={TITLES[which]}>
  <p class="mb-2 text-soft">{rule.words}</p>
  <ul class="max-h-[50vh] overflow-y-auto">
    {#each people.data ?? [] as person (`${person.personId}-${person.message}`)}
      <li class="flex flex-wrap justify-between gap-x-4 border-b border-line-soft py-1.5">
        <a
          class="font-semibold text-kelp hover:underline"
          href={person.message ? `/responses/with/${person.message}` : `/people/${person.personId}`}
          >{person.name}</a
        >
        <span class="text-soft">
          {person.words}{#if person.at}, {dayAndTime(person.at, session.zone)}{/if}
        </span>
      </li>
    {/each}
  </ul>
  {#snippet actions()}
    <HouseButton weight="main" onclick={() => (open = false)}>Close</HouseButton>
  {/snippet}
</Ask>
