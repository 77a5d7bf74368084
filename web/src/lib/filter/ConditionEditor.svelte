<script lang="ts">
  import type { Condition, FilterField } from '$lib/api/types';
  import { Select } from 'flowbite-svelte';
  import { compareBy, comparisonOf, fieldOf } from './draft';
  import OperandEditor from './OperandEditor.svelte';

  interface Props {
    condition: Condition;
    fields: FilterField[];
    onchange: (condition: Condition) => void;
    onremove: () => void;
    ondone: () => void;
  }

  let { condition, fields, onchange, onremove, ondone }: Props = $props();

  const field = $derived(fieldOf(condition, fields));
  const takes = $derived(comparisonOf(condition, fields)?.takes ?? 'NOTHING');
  const label = $derived(field?.label ?? condition.field);

  function wordsOf(c: FilterField['comparisons'][number]): string {
    return c.takes === 'PERIOD' ? 'is today, this week …' : [c.words, c.after].join(' … ').trim();
  }
</script>

<form
  class="flex flex-col gap-2.5"
  onsubmit={(event) => {
    event.preventDefault();
    ondone();
  }}
>
  <div class="flex items-center gap-2">
    <span class="font-semibold whitespace-nowrap">{label}</span>
    <Select
      aria-label={`How ${label} is compared`}
      placeholder=""
      items={(field?.comparisons ?? []).map((c) => ({
        value: c.operator,
        name: c.after || c.takes === 'PERIOD' ? wordsOf(c) : c.words
      }))}
      value={condition.operator}
      onchange={(event) =>
        onchange(compareBy(condition, event.currentTarget.value as Condition['operator'], fields))}
    />
  </div>
  {#if field}
    <OperandEditor
      {field}
      {takes}
      values={condition.values}
      onchange={(values) => onchange({ ...condition, values })}
    />
  {/if}
  <div class="flex justify-between">
    <button type="submit" class="font-semibold text-kelp hover:underline">Done</button>
    <button type="button" class="text-brick hover:underline" onclick={onremove}>Remove</button>
  </div>
</form>
