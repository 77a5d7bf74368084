<script lang="ts">
  import type { Filter } from '$lib/api/types';
  import { Select } from 'flowbite-svelte';

  interface Props {
    label: string;
    choices: { name: string; kind: string; filter: Filter }[];
    onadd: (name: string, filter: Filter) => void;
  }

  let { label, choices, onadd }: Props = $props();
  let chosen = $state('');

  function add(value: string) {
    const choice = choices[Number(value)];
    if (choice) onadd(choice.name, choice.filter);
    chosen = '';
  }
</script>

<Select
  class="mt-2"
  placeholder=""
  aria-label={label}
  items={[
    { value: '', name: `${label}…` },
    ...choices.map((c, i) => ({ value: String(i), name: `${c.name} (${c.kind})` }))
  ]}
  bind:value={chosen}
  onchange={(e) => add(e.currentTarget.value)}
/>
