<script lang="ts">
  import type { FilterField, ImportState } from '$lib/api/types';

  import { WHOLE_ADDRESS } from './steps';

  interface Props {
    state: ImportState;
    fields: FilterField[];
  }

  let { state, fields }: Props = $props();

  const shown = $derived(
    state.choices.columns.flatMap((name, index) => (name ? [{ name, index }] : []))
  );
  const tones: Record<string, string> = {
    new: 'text-kelp',
    changed: 'text-ochre',
    bad: 'text-brick',
    same: 'text-soft'
  };

  const label = (name: string) =>
    name === WHOLE_ADDRESS.value
      ? 'Postal address'
      : (fields.find((f) => f.name === name)?.label ?? name);
</script>

<!-- What scrolls must be reachable by key. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="overflow-x-auto" tabindex="0" role="region" aria-label="Rows as they will be">
  <table class="w-full text-[0.92rem] whitespace-nowrap">
    <thead>
      <tr class="text-left text-[0.8rem] text-soft">
        <th scope="col" class="px-3.5 py-1.5 font-semibold">Row</th>
        <th scope="col" class="pe-3 font-semibold">Will be</th>
        {#each shown as column (column.index)}
          <th scope="col" class="pe-3 font-semibold">{label(column.name)}</th>
        {/each}
      </tr>
    </thead>
    <tbody>
      {#each state.preview as row (row.row)}
        <tr class="border-t border-line-soft">
          <td class="px-3.5 py-1.5 text-soft">{row.row}</td>
          <td class={`pe-3 font-semibold ${tones[row.outcome ?? ''] ?? ''}`}>
            {#if row.problem}
              <span class="block max-w-96 font-normal whitespace-normal">{row.problem}</span>
            {:else if row.personId}
              <a class="underline" href={`/people/${row.personId}`}>{row.outcome}</a>
            {:else}{row.outcome}{/if}
          </td>
          {#each shown as column (column.index)}
            <td class="max-w-60 truncate pe-3">{row.cells[column.index] ?? ''}</td>
          {/each}
        </tr>
      {/each}
    </tbody>
  </table>
</div>
