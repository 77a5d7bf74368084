<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { Sheet } from '$lib/api/types';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { useQueryClient } from '@tanstack/svelte-query';
  import { Input, Label, Select } from 'flowbite-svelte';
  import Length from './Length.svelte';
  import { papers } from './paper';

  interface Props {
    open: boolean;
    /** The sheet that it begins as. */
    sheet: Sheet;
    onmade: (sheet: Sheet) => void;
  }

  let { open = $bindable(), sheet, onmade }: Props = $props();

  const queries = useQueryClient();
  let made = $state<Sheet | null>(null);
  let trouble = $state('');
  $effect(() => {
    if (!open) return;
    made = { ...sheet, name: '' };
    trouble = '';
  });

  const lengths = [
    ['left', 'First label from the left'],
    ['top', 'First label from the top'],
    ['width', 'Width of a label'],
    ['height', 'Height of a label'],
    ['pitchAcross', 'From left edge to left edge'],
    ['pitchDown', 'From top edge to top edge']
  ] as const;

  async function keep() {
    if (!made) return;
    try {
      const kept = await answer(api.POST('/api/sheets', { body: $state.snapshot(made) }));
      await queries.invalidateQueries({ queryKey: ['sheets'] });
      onmade(kept.sheet);
      open = false;
    } catch (error) {
      trouble = error instanceof Error ? error.message : 'It could not be kept.';
    }
  }
</script>

<Ask bind:open title="A sheet of your own">
  {#if made}
    <p class="mb-3 text-soft">
      Measure it with a ruler, or take the figures from its packet. Millimetres, or inches with
      “in”.
    </p>
    <Label for="sheet-name" class="mb-1 text-soft">Name</Label>
    <Input id="sheet-name" bind:value={made.name} data-autofocus="" />
    <div class="mt-3 grid grid-cols-2 gap-x-3 gap-y-2">
      <label class="col-span-2">
        <span class="mb-0.5 block text-[0.87rem] text-soft">Paper</span>
        <Select
          placeholder=""
          items={Object.entries(papers).map(([value, paper]) => ({ value, name: paper.words }))}
          bind:value={made.paper}
        />
      </label>
      {#each [['across', 'Labels side by side'], ['down', 'Labels one below the other']] as const as [key, name] (key)}
        <label>
          <span class="mb-0.5 block text-[0.87rem] text-soft">{name}</span>
          <input
            type="number"
            min="1"
            max="100"
            class="w-full rounded-lg border border-line bg-card px-2.5 py-1.5"
            bind:value={made[key]}
          />
        </label>
      {/each}
      {#each lengths as [key, name] (key)}
        <Length
          label={name}
          value={made[key]}
          onchange={(length) => made && (made = { ...made, [key]: length })}
        />
      {/each}
    </div>
    {#if trouble}<p class="mt-2 text-brick" role="alert">{trouble}</p>{/if}
  {/if}
  {#snippet actions()}
    <HouseButton onclick={() => (open = false)}>Back</HouseButton>
    <HouseButton weight="main" onclick={keep}>Keep the sheet</HouseButton>
  {/snippet}
</Ask>
