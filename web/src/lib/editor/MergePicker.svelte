<script lang="ts">
  import type { MergeFieldName } from '$lib/api/types';
  import { Input, Label, Select } from 'flowbite-svelte';
  import FieldList from './FieldList.svelte';
  import { formatsOf } from './formats';
  import { inside, taken } from './mergeText';
  import type { Hints } from './picking';

  interface Props {
    fields: MergeFieldName[];
    hints: Hints;
    /** The merge field that is being changed, or null for a new one. */
    current: string | null;
    onput: (inside: string) => void;
    /** A second `{`: the writer types the field by hand. */
    onbrace: () => void;
    onremove: () => void;
    onclose: () => void;
  }

  let { fields, hints, current, onput, onbrace, onremove, onclose }: Props = $props();

  // svelte-ignore state_referenced_locally
  const before = current === null ? null : taken(current);
  let chosen = $state(before?.name ?? '');
  let fallback = $state(before?.fallback ?? '');
  let format = $state(before?.rest ?? '');

  const type = $derived(fields.find((f) => f.name === chosen)?.type ?? 'TEXT');
  const formats = $derived(formatsOf(type, before?.name === chosen ? before.rest : ''));

  // Another field starts with its own usual format.
  $effect(() => {
    if (!formats.some((f) => f.value === format)) format = formats[0]?.value ?? '';
  });

  function put(event: SubmitEvent) {
    event.preventDefault();
    if (chosen) onput(inside(chosen, fallback, format));
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key !== 'Escape') return;
    event.preventDefault();
    event.stopPropagation();
    onclose();
  }

  function focusFirst(node: HTMLElement) {
    node.querySelector('input')?.focus();
  }
</script>

<!-- The keys belong to what is inside. -->
<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<form
  class="panel w-80 p-3 shadow-lg"
  aria-label="Merge field"
  onsubmit={put}
  {onkeydown}
  {@attach focusFirst}
>
  {#if before === null && current !== null}
    <p class="mb-2 text-soft">
      {current.startsWith('!')
        ? 'A note for writers; nobody else sees it.'
        : /^[#^/]/.test(current)
          ? 'A passage that shows only for some. Take both its marks out to show it to all.'
          : `Written as {{${current}}}; change it in the source.`}
    </p>
  {:else}
    {#if before === null}
      <FieldList {fields} {hints} bind:chosen {onbrace} {onclose} />
    {:else}
      <p class="mb-2 font-semibold">
        {fields.find((f) => f.name === before.name)?.label ?? before.name}
      </p>
    {/if}
    <Label for="fallback" class="mb-1">When it is not known, write</Label>
    <Input id="fallback" bind:value={fallback} placeholder="friend" autocomplete="off" />
    {#if formats.length > 1}
      <Label for="format" class="mt-2 mb-1">Written as</Label>
      <Select id="format" placeholder="" items={formats} bind:value={format} />
    {/if}
  {/if}
  <div class="mt-3 flex justify-between">
    {#if before !== null || current === null}
      <button type="submit" class="font-semibold text-kelp hover:underline">
        {current === null ? 'Insert it' : 'Change'}
      </button>
    {/if}
    {#if current !== null}
      <button type="button" class="text-brick hover:underline" onclick={onremove}>Remove</button>
    {/if}
    <button type="button" class="text-soft hover:underline" onclick={onclose}>Close</button>
  </div>
</form>
