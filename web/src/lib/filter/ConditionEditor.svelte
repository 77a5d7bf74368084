<script lang="ts">
  import type { Condition, FilterField } from '$lib/api/types';
  import { Checkbox, Input, Select } from 'flowbite-svelte';
  import { compareBy, comparisonOf, fieldOf, monthNames, toggled } from './draft';

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
  const inputType = $derived(
    field?.type === 'DAY' || field?.type === 'INSTANT'
      ? 'date'
      : field?.type === 'NUMBER' || field?.type === 'MONEY'
        ? 'number'
        : 'text'
  );

  function setValue(index: number, value: string) {
    const values = [...condition.values];
    values[index] = value;
    onchange({ ...condition, values });
  }

  /** Tags are typed, a comma between them. */
  function setWords(text: string) {
    const values = text
      .split(',')
      .map((w) => w.trim())
      .filter(Boolean);
    onchange({ ...condition, values });
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
      items={(field?.comparisons ?? []).map((c) => ({ value: c.operator, name: c.words }))}
      value={condition.operator}
      onchange={(event) =>
        onchange(compareBy(condition, event.currentTarget.value as Condition['operator'], fields))}
    />
  </div>
  {#if takes === 'SOME' && field?.choices.length}
    <fieldset class="flex flex-col gap-1.5">
      <legend class="sr-only">{label}</legend>
      {#each field.choices as choice (choice)}
        <Checkbox
          checked={condition.values.includes(choice)}
          onchange={() => onchange({ ...condition, values: toggled(condition.values, choice) })}
          >{choice}</Checkbox
        >
      {/each}
    </fieldset>
  {:else if takes === 'SOME'}
    <Input
      aria-label={label}
      placeholder="slipway, racing"
      value={condition.values.join(', ')}
      onchange={(event) => setWords(event.currentTarget.value)}
    />
  {:else if takes === 'MONTH'}
    <Select
      aria-label={label}
      placeholder="Which month"
      items={monthNames.map((name, i) => ({ value: String(i + 1), name }))}
      value={condition.values[0] ?? ''}
      onchange={(event) => setValue(0, event.currentTarget.value)}
    />
  {:else if takes === 'DAYS'}
    <div class="flex items-center gap-2">
      <Input
        aria-label={`${label}, how many days`}
        type="number"
        min="0"
        max="36500"
        value={condition.values[0] ?? ''}
        oninput={(event: Event) => setValue(0, (event.target as HTMLInputElement).value)}
      />
      days
    </div>
  {:else if takes === 'ONE' || takes === 'TWO'}
    <div class="flex items-center gap-2">
      <Input
        aria-label={takes === 'TWO' ? `${label}, from` : label}
        type={inputType}
        step="any"
        data-first
        value={condition.values[0] ?? ''}
        oninput={(event: Event) => setValue(0, (event.target as HTMLInputElement).value)}
      />
      {#if takes === 'TWO'}
        <span>and</span>
        <Input
          aria-label={`${label}, to`}
          type={inputType}
          step="any"
          value={condition.values[1] ?? ''}
          oninput={(event: Event) => setValue(1, (event.target as HTMLInputElement).value)}
        />
      {/if}
    </div>
  {/if}
  <div class="flex justify-between">
    <button type="submit" class="font-semibold text-kelp hover:underline">Done</button>
    <button type="button" class="text-brick hover:underline" onclick={onremove}>Take it out</button>
  </div>
</form>
