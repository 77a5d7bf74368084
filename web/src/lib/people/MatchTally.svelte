<script lang="ts">
  import { session } from '$lib/session/session.svelte';
  import Tally from '$lib/ui/Tally.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { useQueryClient } from '@tanstack/svelte-query';
  import Counting from './Counting.svelte';
  import type { usePeople } from './questions.svelte';
  import PhoneCounts from './PhoneCounts.svelte';
  import { reachParts } from './reach';

  interface Props {
    people: ReturnType<typeof usePeople>;
  }

  let { people }: Props = $props();

  const queries = useQueryClient();
  const search = $derived(people.search);
  /** The filter whose counting was stopped. */
  let stopped = $state<unknown>(null);

  function choosePart(key: string) {
    search.part = key === 'all' || key === search.part ? null : key;
  }

  function stop() {
    stopped = search.draft;
    void queries.cancelQueries({ queryKey: ['people-tally'] });
  }

  function countAgain() {
    stopped = null;
    void people.tally.refetch();
  }
</script>

{#if people.counting}
  <Counting soFar={people.counting} onstop={stop} />
{:else if stopped === search.draft && people.tally.isPlaceholderData}
  <p class="panel px-3.5 py-2">
    The counting was stopped. Change the filter, or
    <button type="button" class="font-semibold text-kelp underline" onclick={countAgain}
      >count again</button
    >.
  </p>
{:else if people.tally.error}
  <Trouble error={people.tally.error} onretry={() => people.tally.refetch()} />
{:else if people.tally.data}
  <Tally
    label="People who match, by whether they can be written to"
    parts={reachParts(people.tally.data.parts, people.tally.data.total)}
    chosen={search.part}
    onchoose={choosePart}
  />
  {#if session.colleague?.ownPeople}
    <p class="text-[0.9rem] text-soft">
      These are the people you own; whoever is another’s is neither listed nor counted.
    </p>
  {/if}
  <PhoneCounts filter={people.filter} archived={search.archived} />
{/if}
