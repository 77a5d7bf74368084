<script lang="ts">
  import type { FilterField, ImportChoices, ImportState } from '$lib/api/types';
  import { Select } from 'flowbite-svelte';
  import { WHOLE_ADDRESS } from './steps';

  interface Props {
    columns: ImportState['columns'];
    choices: ImportChoices;
    fields: FilterField[];
    onchange: (choices: ImportChoices) => void;
  }

  let { columns, choices, fields, onchange }: Props = $props();

  const offered = $derived([
    { value: '', name: 'stays out' },
    ...fields
      .filter((f) => f.broughtIn)
      .map((f) => ({
        value: f.name,
        name: f.name === 'name' ? 'Name, first and last in one' : f.label
      })),
    WHOLE_ADDRESS
  ]);

  function set(index: number, field: string) {
    const mapped = choices.columns.map((c, i) => (i !== index && c === field ? null : c));
    mapped[index] = field || null;
    onchange({ ...choices, columns: mapped });
  }
</script>

<table class="w-full text-[0.95rem]">
  <thead>
    <tr class="text-left text-[0.8rem] text-soft">
      <th scope="col" class="px-3.5 py-1.5 font-semibold">Column of the file</th>
      <th scope="col" class="font-semibold max-md:hidden">First cells</th>
      <th scope="col" class="w-72 pe-3.5 font-semibold">Goes into</th>
    </tr>
  </thead>
  <tbody>
    {#each columns as column, i (i)}
      <tr class="border-t border-line-soft">
        <th scope="row" class="px-3.5 py-1.5 text-left font-semibold">{column.header || '—'}</th>
        <td class="max-w-72 truncate text-soft max-md:hidden">{column.samples.join(' · ')}</td>
        <td class="py-1 pe-3.5">
          <Select
            size="sm"
            aria-label={`${column.header} goes into`}
            placeholder=""
            class={choices.columns[i] ? '' : 'text-soft'}
            items={offered}
            value={choices.columns[i] ?? ''}
            onchange={(event) => set(i, event.currentTarget.value)}
          />
        </td>
      </tr>
    {/each}
  </tbody>
</table>
