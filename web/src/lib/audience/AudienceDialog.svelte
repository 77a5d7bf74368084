<script lang="ts">
  import type { BenchPart, Filter } from '$lib/api/types';
  import { people } from '$lib/format/numbers';
  import Act from '$lib/ui/Act.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import AddPart from './AddPart.svelte';
  import type { Writing } from '$lib/draft/writing.svelte';
  import { partChoices } from './partChoices.svelte';
  import PartList from './PartList.svelte';
  import PickPeople from './PickPeople.svelte';

  interface Props {
    open: boolean;
    bench: Writing;
  }

  let { open = $bindable(), bench }: Props = $props();

  const kinds = partChoices(() => open);
  const choices = $derived(kinds.all);

  function add(to: 'parts' | 'leaveParts', name: string, filter: Filter) {
    const part: BenchPart = { name, filter, words: name };
    if (!bench[to].some((p) => p.name === name)) bench.set(to, [...bench[to], part]);
  }

  function takeOff(from: 'parts' | 'leaveParts', part: BenchPart) {
    bench.set(
      from,
      bench[from].filter((p) => p !== part)
    );
  }
</script>

<Ask bind:open title="Whom it is for" wide>
  <div class="grid grid-cols-2 gap-6 max-sm:grid-cols-1">
    <section aria-label="Written to">
      <h3 class="mb-1 font-bold">Written to: whoever is in any of these</h3>
      <PartList parts={bench.parts} onremove={(p) => takeOff('parts', p)} />
      {#if bench.picks.length}
        <p class="flex justify-between gap-3 border-b border-line-soft py-1.5">
          {people(bench.picks.length)} picked by hand
          <button
            type="button"
            class="whitespace-nowrap text-brick hover:underline"
            onclick={() => bench.set('picks', [])}>take off</button
          >
        </p>
      {/if}
      <AddPart label="Add a filter or a list" {choices} onadd={(n, f) => add('parts', n, f)} />
      <PickPeople picks={bench.picks} onpick={(id) => bench.set('picks', [...bench.picks, id])} />
    </section>
    <section aria-label="Left out">
      <h3 class="mb-1 font-bold">Left out, even so</h3>
      <PartList parts={bench.leaveParts} onremove={(p) => takeOff('leaveParts', p)} />
      {#if bench.leftOut.length}
        <p class="flex justify-between gap-3 border-b border-line-soft py-1.5">
          {people(bench.leftOut.length)} left out by hand
          <button
            type="button"
            class="whitespace-nowrap text-kelp hover:underline"
            onclick={() => bench.set('leftOut', [])}>take in again</button
          >
        </p>
      {/if}
      <AddPart
        label="Leave out a filter or a list"
        {choices}
        onadd={(n, f) => add('leaveParts', n, f)}
      />
    </section>
  </div>
  {#snippet actions()}
    <Act look="main" onclick={() => (open = false)}>Done</Act>
  {/snippet}
</Ask>
