<script lang="ts">
  import type { MergeFieldName } from '$lib/api/types';
  import { Label, Select } from 'flowbite-svelte';
  import FieldList from './FieldList.svelte';
  import type { Hints } from './picking';

  interface Props {
    fields: MergeFieldName[];
    hints: Hints;
    /** The passage that is being changed, as `#dues_owed`; null for a new one. */
    current: string | null;
    onput: (inside: string) => void;
    onremove: () => void;
    onclose: () => void;
  }

  let { fields, hints, current, onput, onremove, onclose }: Props = $props();

  // svelte-ignore state_referenced_locally
  let sign = $state(current?.[0] ?? '#');
  // svelte-ignore state_referenced_locally
  let chosen = $state(current?.slice(1).trim() ?? '');

  function put(event: SubmitEvent) {
    event.preventDefault();
    if (chosen) onput(sign + chosen);
  }

  function focusFirst(node: HTMLElement) {
    node.querySelector('input')?.focus();
  }
</script>

<form
  class="panel w-80 p-3 shadow-lg"
  aria-label="Passage for some"
  onsubmit={put}
  {@attach focusFirst}
>
  <p class="mb-2 text-soft">The chosen paragraphs show only for some.</p>
  <Label for="passage-sign" class="mb-1">Show them</Label>
  <Select
    id="passage-sign"
    placeholder=""
    class="mb-2"
    items={[
      { value: '#', name: 'only if there is a value' },
      { value: '^', name: 'only if there is none' }
    ]}
    bind:value={sign}
  />
  <FieldList {fields} {hints} bind:chosen {onclose} />
  <div class="mt-3 flex justify-between">
    <button type="submit" class="font-semibold text-kelp hover:underline">
      {current === null ? 'Make the passage' : 'Change'}
    </button>
    {#if current !== null}
      <button type="button" class="text-brick hover:underline" onclick={onremove}
        >Show it to all</button
      >
    {/if}
    <button type="button" class="text-soft hover:underline" onclick={onclose}>Close</button>
  </div>
</form>
