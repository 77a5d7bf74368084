<script lang="ts">
  import type { FilterField } from '$lib/api/types';
  import { Input } from 'flowbite-svelte';

  interface Props {
    fields: FilterField[];
    onpick: (field: FilterField) => void;
  }

  let { fields, onpick }: Props = $props();
  let words = $state('');

  const offered = $derived(
    fields.filter((f) => f.label.toLowerCase().includes(words.trim().toLowerCase()))
  );
</script>

<form
  onsubmit={(event) => {
    event.preventDefault();
    if (offered[0]) onpick(offered[0]);
  }}
>
  <Input bind:value={words} aria-label="Which field" placeholder="Which field" autocomplete="off" />
  <ul class="mt-2 max-h-64 overflow-y-auto" aria-label="Fields">
    {#each offered as field (field.name)}
      <li>
        <button
          type="button"
          class="w-full rounded-md px-2 py-1 text-left hover:bg-kelp-pale"
          onclick={() => onpick(field)}>{field.label}</button
        >
      </li>
    {:else}
      <li class="px-2 py-1 text-soft">No field is called that.</li>
    {/each}
  </ul>
</form>
