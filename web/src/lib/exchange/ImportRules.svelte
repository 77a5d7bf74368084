<script lang="ts">
  import { listsQuery } from '$lib/api/queries';
  import type { ImportChoices } from '$lib/api/types';
  import SeriesSelect from '$lib/series/SeriesSelect.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { Select } from 'flowbite-svelte';

  interface Props {
    choices: ImportChoices;
    onchange: (choices: ImportChoices) => void;
  }

  let { choices, onchange }: Props = $props();

  const lists = createQuery(listsQuery);
  const rules = [
    { value: 'EMAIL', name: 'the same e-mail' },
    { value: 'NUMBER', name: 'the same number' },
    { value: 'NAME_AND_POSTCODE', name: 'the same name and postcode' }
  ];
  const orders = [
    { value: 'DAY_FIRST', name: 'day first, 25/12/2026' },
    { value: 'MONTH_FIRST', name: 'month first, 12/25/2026' },
    { value: 'YEAR_FIRST', name: 'year first, 2026-12-25' }
  ];
</script>

<div class="grid grid-cols-2 gap-3 p-3.5 max-md:grid-cols-1">
  <label class="flex flex-col gap-1">
    Two records are one person by
    <Select
      placeholder=""
      items={rules}
      value={choices.sameBy}
      onchange={(e) =>
        onchange({ ...choices, sameBy: e.currentTarget.value as ImportChoices['sameBy'] })}
    />
  </label>
  <label class="flex flex-col gap-1">
    Days in digits are written
    <Select
      placeholder=""
      items={orders}
      value={choices.days}
      onchange={(e) =>
        onchange({ ...choices, days: e.currentTarget.value as ImportChoices['days'] })}
    />
  </label>
  <label class="flex flex-col gap-1">
    New people are
    <Select
      placeholder=""
      items={['contact', 'lead', 'member'].map((k) => ({ value: k, name: `${k}s` }))}
      value={choices.kind}
      onchange={(e) => onchange({ ...choices, kind: e.currentTarget.value })}
    />
  </label>
  <label class="flex flex-col gap-1">
    All of them go on a list
    <Select
      placeholder=""
      items={[
        { value: 0, name: 'no list' },
        ...(lists.data ?? []).map((l) => ({ value: l.id, name: l.name }))
      ]}
      value={choices.list ?? 0}
      onchange={(e) => onchange({ ...choices, list: Number(e.currentTarget.value) || null })}
    />
  </label>
  <label class="flex flex-col gap-1">
    All of them come into a series
    <SeriesSelect
      value={choices.series ?? 0}
      none="no series"
      onchange={(series) => onchange({ ...choices, series: series || null })}
    />
  </label>
</div>
