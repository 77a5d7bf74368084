<script lang="ts">
  import type { AudiencePart } from '$lib/api/types';
  import { partChoices } from '$lib/audience/partChoices.svelte';
  import { Select } from 'flowbite-svelte';

  interface Props {
    /** Names the whole for readers of the screen. */
    label: string;
    parts: AudiencePart[];
    /** What it means when there are none. */
    none: string;
    onchange: (parts: AudiencePart[]) => void;
  }

  let { label, parts, none, onchange }: Props = $props();

  const choices = partChoices(() => true);
  const others = $derived(choices.all.filter((c) => !parts.some((part) => part.name === c.name)));

  function add(name: string) {
    const chosen = choices.all.find((choice) => choice.name === name);
    if (chosen) onchange([...parts, { name: chosen.name, filter: chosen.filter }]);
  }
</script>

<div class="flex flex-wrap items-center gap-x-3 gap-y-1" role="group" aria-label={label}>
  {#each parts as part (part.name)}
    <span class="inline-flex items-center gap-1.5 rounded-md bg-kelp-pale px-2">
      {part.name ?? 'some people'}
      <button
        type="button"
        class="min-h-[26px] px-1 text-kelp max-md:min-h-[44px]"
        aria-label={`Without ${part.name ?? 'them'}`}
        onclick={() => onchange(parts.filter((p) => p !== part))}
        ><span aria-hidden="true">×</span></button
      >
    </span>
  {:else}
    <span class="text-soft">{none}</span>
  {/each}
  <!-- Begun anew with each part: what was chosen is no longer among its options. -->
  {#key parts.length}
    {#if others.length}
      <Select
        class="h-8 w-52 py-0"
        placeholder=""
        aria-label={`${label}: add a kept filter or a list`}
        items={[
          { value: '', name: 'a kept filter or list …' },
          ...others.map((choice) => ({ value: choice.name, name: choice.name }))
        ]}
        bind:value={() => '', add}
      />
    {/if}
  {/key}
</div>
