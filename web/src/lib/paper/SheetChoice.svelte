<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { sheetsQuery } from '$lib/api/queries';
  import type { Sheet } from '$lib/api/types';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { Select } from 'flowbite-svelte';
  import OwnSheetDialog from './OwnSheetDialog.svelte';

  interface Props {
    sheet: Sheet;
    editable: boolean;
    onchoose: (sheet: Sheet) => void;
  }

  let { sheet, editable, onchoose }: Props = $props();

  const queries = useQueryClient();
  const known = createQuery(sheetsQuery);
  let making = $state(false);

  const same = (one: Sheet) => JSON.stringify(one) === JSON.stringify(sheet);
  const at = $derived((known.data ?? []).findIndex((choice) => same(choice.sheet)));
  const own = $derived(known.data?.[at]?.id ?? null);
  const items = $derived([
    ...(known.data ?? []).map((choice, i) => ({ value: String(i), name: choice.sheet.name })),
    ...(at < 0 ? [{ value: '-1', name: sheet.name }] : [])
  ]);

  async function remove(id: number) {
    try {
      await answer(api.DELETE('/api/sheets/{id}', { params: { path: { id } } }));
      notices.say(`The sheet “${sheet.name}” is gone; what is laid out on it keeps it.`);
      await queries.invalidateQueries({ queryKey: ['sheets'] });
    } catch (error) {
      notices.fail(error);
    }
  }

  function choose(value: string) {
    const chosen = known.data?.[Number(value)];
    if (chosen) onchoose(chosen.sheet);
  }
</script>

<div>
  <label>
    <span class="mb-0.5 block text-[0.87rem] text-soft">Sheet</span>
    <Select
      placeholder=""
      {items}
      value={String(at)}
      onchange={(e) => choose(e.currentTarget.value)}
    />
  </label>
  {#if editable}
    <p class="mt-1 flex gap-3 text-[0.87rem]">
      <button
        type="button"
        class="min-h-6 font-semibold text-kelp hover:underline"
        onclick={() => (making = true)}>Another sheet …</button
      >
      {#if own !== null}
        <button
          type="button"
          class="min-h-6 font-semibold text-brick hover:underline"
          onclick={() => void remove(own)}>Remove this sheet</button
        >
      {/if}
    </p>
  {/if}
</div>
<OwnSheetDialog bind:open={making} {sheet} onmade={onchoose} />
