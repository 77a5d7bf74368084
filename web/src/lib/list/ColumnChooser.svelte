<script lang="ts">
  import type { FilterField, Layout } from '$lib/api/types';
  import Popup from '$lib/ui/Popup.svelte';

  interface Props {
    fields: FilterField[];
    layout: Layout;
    onlayout: (layout: Layout) => void;
    onusual: () => void;
  }

  let { fields, layout, onlayout, onusual }: Props = $props();
  let open = $state(false);

  const shown = $derived(
    layout.columns.flatMap((name) => fields.find((f) => f.name === name) ?? [])
  );
  const others = $derived(fields.filter((f) => f.column && !layout.columns.includes(f.name)));

  function set(columns: string[]) {
    onlayout({ ...layout, columns });
  }

  function move(index: number, step: number) {
    const columns = [...layout.columns];
    const [moved] = columns.splice(index, 1);
    if (moved) columns.splice(index + step, 0, moved);
    set(columns);
  }
</script>

<Popup bind:open label="Columns" right>
  {#snippet trigger(toggle)}
    <button type="button" class="min-h-6 font-semibold text-kelp hover:underline" onclick={toggle}>
      Columns
    </button>
  {/snippet}
  <div class="max-h-96 w-72 overflow-y-auto">
    <h3 class="mb-1 text-[0.93rem]">Shown, in this order</h3>
    <ul class="mb-3">
      {#each shown as field, i (field.name)}
        <li class="flex items-center gap-1 py-0.5">
          <span class="flex-1">{field.label}</span>
          <button
            type="button"
            class="min-h-6 min-w-6 hover:bg-shade disabled:opacity-30"
            aria-label={`Move ${field.label} to the left`}
            disabled={i === 0}
            onclick={() => move(i, -1)}>↑</button
          >
          <button
            type="button"
            class="min-h-6 min-w-6 hover:bg-shade disabled:opacity-30"
            aria-label={`Move ${field.label} to the right`}
            disabled={i === shown.length - 1}
            onclick={() => move(i, 1)}>↓</button
          >
          <button
            type="button"
            class="min-h-6 min-w-6 text-soft hover:text-brick"
            aria-label={`Hide ${field.label}`}
            onclick={() => set(layout.columns.filter((c) => c !== field.name))}>×</button
          >
        </li>
      {/each}
    </ul>
    <h3 class="mb-1 text-[0.93rem]">More columns</h3>
    <ul>
      {#each others as field (field.name)}
        <li>
          <button
            type="button"
            class="w-full rounded px-1 py-0.5 text-left hover:bg-kelp-pale"
            onclick={() => set([...layout.columns, field.name])}>+ {field.label}</button
          >
        </li>
      {/each}
    </ul>
    <button type="button" class="mt-2 min-h-6 text-kelp hover:underline" onclick={onusual}
      >The usual columns</button
    >
  </div>
</Popup>
