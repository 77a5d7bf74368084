<script lang="ts">
  import type { ShownPart, Filter } from '$lib/api/types';
  import { people } from '$lib/format/numbers';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import AddPart from './AddPart.svelte';
  import type { Writing } from '$lib/draft/writing.svelte';
  import { partChoices } from './partChoices.svelte';
  import PartList from './PartList.svelte';
  import PickPeople from './PickPeople.svelte';

  interface Props {
    open: boolean;
    writing: Writing;
  }

  let { open = $bindable(), writing }: Props = $props();

  const kinds = partChoices(() => open);
  const choices = $derived(kinds.all);

  function add(to: 'parts' | 'leftOutParts', name: string, filter: Filter) {
    const part: ShownPart = { name, filter, words: name };
    if (!writing[to].some((p) => p.name === name)) writing.set(to, [...writing[to], part]);
  }

  function takeOff(from: 'parts' | 'leftOutParts', part: ShownPart) {
    writing.set(
      from,
      writing[from].filter((p) => p !== part)
    );
  }
</script>

<Ask bind:open title="Whom it is for" wide>
  <div class="grid grid-cols-2 gap-6 max-sm:grid-cols-1">
    <section aria-label="Written to">
      <h3 class="mb-1 font-bold">Written to: whoever is in any of these</h3>
      <PartList parts={writing.parts} onremove={(p) => takeOff('parts', p)} />
      {#if writing.picks.length}
        <p class="flex justify-between gap-3 border-b border-line-soft py-1.5">
          {people(writing.picks.length)} picked by hand
          <button
            type="button"
            class="whitespace-nowrap text-brick hover:underline"
            onclick={() => writing.set('picks', [])}>remove</button
          >
        </p>
      {/if}
      <AddPart label="Add a filter or a list" {choices} onadd={(n, f) => add('parts', n, f)} />
      <PickPeople
        picks={writing.picks}
        onpick={(id) => writing.set('picks', [...writing.picks, id])}
      />
    </section>
    <section aria-label="Left out">
      <h3 class="mb-1 font-bold">Left out of these</h3>
      <PartList parts={writing.leftOutParts} onremove={(p) => takeOff('leftOutParts', p)} />
      {#if writing.leftOut.length}
        <p class="flex justify-between gap-3 border-b border-line-soft py-1.5">
          {people(writing.leftOut.length)} left out by hand
          <button
            type="button"
            class="whitespace-nowrap text-kelp hover:underline"
            onclick={() => writing.set('leftOut', [])}>take in again</button
          >
        </p>
      {/if}
      <AddPart
        label="Leave out a filter or a list"
        {choices}
        onadd={(n, f) => add('leftOutParts', n, f)}
      />
    </section>
  </div>
  {#snippet actions()}
    <HouseButton weight="main" onclick={() => (open = false)}>Done</HouseButton>
  {/snippet}
</Ask>
