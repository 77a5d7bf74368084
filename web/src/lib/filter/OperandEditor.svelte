<script lang="ts">
  import type { Comparison, FilterField } from '$lib/api/types';
  import DayField from '$lib/ui/DayField.svelte';
  import { Checkbox, Input, Select } from 'flowbite-svelte';
  import { toggled } from './draft';
  import KeyChoice from './KeyChoice.svelte';
  import { monthNames, periods } from './token';
  import WordsInput from './WordsInput.svelte';

  interface Props {
    field: FilterField;
    takes: Comparison['takes'];
    values: string[];
    onchange: (values: string[]) => void;
  }

  let { field, takes, values, onchange }: Props = $props();

  const label = $derived(field.label);
  const isDay = $derived(field.type === 'DAY' || field.type === 'INSTANT');
  const isNumber = $derived(field.type === 'NUMBER' || field.type === 'MONEY');
  const inputType = $derived(isNumber ? 'number' : 'text');

  function set(index: number, value: string) {
    const next = [...values];
    next[index] = value;
    onchange(next);
  }

  const typed = (event: Event) => (event.target as HTMLInputElement).value;
  const months = [
    { value: 'this', name: 'this month' },
    { value: 'last', name: 'last month' },
    { value: 'next', name: 'next month' },
    ...monthNames.map((name, i) => ({ value: String(i + 1), name }))
  ];
</script>

{#if takes === 'SOME' && field.choices.length}
  <fieldset class="flex flex-col gap-1.5">
    <legend class="sr-only">{label}</legend>
    {#each field.choices as choice (choice)}
      <Checkbox checked={values.includes(choice)} onchange={() => onchange(toggled(values, choice))}
        >{choice}</Checkbox
      >
    {/each}
  </fieldset>
{:else if takes === 'SOME' && field.type === 'REFERENCE'}
  <KeyChoice {field} {values} {onchange} />
{:else if takes === 'SOME'}
  <WordsInput {field} {values} {onchange} />
{:else if takes === 'MONTH'}
  <Select
    aria-label={label}
    placeholder=""
    items={months}
    value={values[0] ?? 'this'}
    onchange={(event) => set(0, event.currentTarget.value)}
  />
{:else if takes === 'PERIOD'}
  <Select
    aria-label={label}
    placeholder=""
    items={periods.map((p) => ({ value: p, name: p }))}
    value={values[0] ?? 'this week'}
    onchange={(event) => set(0, event.currentTarget.value)}
  />
{:else if takes === 'DAYS' || takes === 'SPAN'}
  <div class="flex items-center gap-2">
    <Input
      aria-label={`${label}, how many`}
      type="number"
      min="0"
      max={takes === 'DAYS' ? 366 : 36500}
      class="w-24"
      data-first
      value={values[0] ?? ''}
      oninput={(event: Event) => set(0, typed(event))}
    />
    {#if takes === 'SPAN'}
      <Select
        aria-label={`${label}, days, weeks or months`}
        placeholder=""
        items={['days', 'weeks', 'months'].map((u) => ({ value: u, name: u }))}
        value={values[1] ?? 'days'}
        onchange={(event) => set(1, event.currentTarget.value)}
      />
    {:else}
      days
    {/if}
  </div>
{:else if takes === 'STEPS'}
  <div class="flex items-center gap-2">
    <span>by me</span>
    <Select
      aria-label="Through how many people"
      placeholder=""
      items={[
        { value: '1', name: 'directly' },
        ...[2, 3, 4, 5].map((n) => ({ value: String(n), name: `within ${n} steps` }))
      ]}
      value={values[1] ?? '1'}
      onchange={(event) => onchange([values[0] ?? 'me', event.currentTarget.value])}
    />
  </div>
{:else if (takes === 'ONE' || takes === 'TWO') && isDay}
  <div class="flex flex-wrap items-center gap-2">
    <DayField
      label={takes === 'TWO' ? `${label}, from` : label}
      value={values[0] ?? ''}
      lean="BACK"
      first
      onchange={(day) => set(0, day)}
    />
    {#if takes === 'TWO'}
      <span>and</span>
      <DayField
        label={`${label}, to`}
        value={values[1] ?? ''}
        lean="BACK"
        onchange={(day) => set(1, day)}
      />
    {/if}
  </div>
{:else if takes === 'ONE' || takes === 'TWO'}
  <div class="flex items-center gap-2">
    <Input
      aria-label={takes === 'TWO' ? `${label}, from` : label}
      type={inputType}
      step="any"
      data-first
      value={values[0] ?? ''}
      oninput={(event: Event) => set(0, typed(event))}
    />
    {#if takes === 'TWO'}
      <span>and</span>
      <Input
        aria-label={`${label}, to`}
        type={inputType}
        step="any"
        value={values[1] ?? ''}
        oninput={(event: Event) => set(1, typed(event))}
      />
    {/if}
  </div>
{/if}
