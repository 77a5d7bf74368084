<script lang="ts">
  import type { MergeFieldName } from '$lib/api/types';
  import { Input, Label } from 'flowbite-svelte';
  import { inside, taken } from './mergeText';

  interface Props {
    fields: MergeFieldName[];
    /** The merge field that is being changed, or null for a new one. */
    current: string | null;
    onput: (inside: string) => void;
    /** A second `{`: the writer types the field by hand. */
    onbrace: () => void;
    onremove: () => void;
    onclose: () => void;
  }

  let { fields, current, onput, onbrace, onremove, onclose }: Props = $props();

  // svelte-ignore state_referenced_locally
  const before = current === null ? null : taken(current);
  let words = $state('');
  let chosen = $state(before?.name ?? '');
  let fallback = $state(before?.fallback ?? '');
  let at = $state(0);

  const offered = $derived(
    fields.filter((f) =>
      `${f.label} ${f.name}`.toLowerCase().includes(words.trim().toLowerCase().replaceAll(' ', ''))
        ? true
        : f.label.toLowerCase().includes(words.trim().toLowerCase())
    )
  );

  function format(name: string): string {
    if (before && before.name === name) return before.rest;
    return fields.find((f) => f.name === name)?.type === 'MONEY' ? 'as money' : '';
  }

  function put(event?: SubmitEvent) {
    event?.preventDefault();
    const name = chosen || offered[at]?.name;
    if (name) onput(inside(name, fallback, format(name)));
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Escape') onclose();
    else if (event.key === '{' && words === '') onbrace();
    else if (event.key === 'ArrowDown') at = Math.min(at + 1, offered.length - 1);
    else if (event.key === 'ArrowUp') at = Math.max(at - 1, 0);
    else return;
    event.preventDefault();
    event.stopPropagation();
  }

  function focusFirst(node: HTMLElement) {
    node.querySelector('input')?.focus();
  }
</script>

<form class="panel w-72 p-3 shadow-lg" aria-label="Merge field" onsubmit={put} {@attach focusFirst}>
  {#if before === null && current !== null}
    <p class="mb-2 text-soft">
      A passage that shows only for some. Take its marks out, both of them, to show it to all.
    </p>
  {:else}
    {#if before === null}
      <Input
        bind:value={words}
        {onkeydown}
        oninput={() => ((at = 0), (chosen = ''))}
        placeholder="Which field"
        aria-label="Which field"
        autocomplete="off"
      />
      <ul class="my-2 max-h-44 overflow-y-auto" aria-label="Merge fields">
        {#each offered as field, i (field.name)}
          <li>
            <button
              type="button"
              class={`w-full rounded px-2 py-0.5 text-left ${chosen === field.name || (!chosen && i === at) ? 'bg-kelp-pale' : ''}`}
              onclick={() => (chosen = field.name)}>{field.label}</button
            >
          </li>
        {:else}
          <li class="px-2 text-soft">No field is called that.</li>
        {/each}
      </ul>
    {:else}
      <p class="mb-2 font-semibold">
        {fields.find((f) => f.name === before.name)?.label ?? before.name}
        <span class="font-normal text-soft">{before.rest}</span>
      </p>
    {/if}
    <Label for="fallback" class="mb-1">When it is not known, write</Label>
    <Input
      id="fallback"
      bind:value={fallback}
      {onkeydown}
      placeholder="friend"
      autocomplete="off"
    />
  {/if}
  <div class="mt-3 flex justify-between">
    {#if before !== null || current === null}
      <button type="submit" class="font-semibold text-kelp hover:underline">
        {current === null ? 'Put it in' : 'Change'}
      </button>
    {/if}
    {#if current !== null}
      <button type="button" class="text-brick hover:underline" onclick={onremove}
        >Take it out</button
      >
    {/if}
    <button type="button" class="text-soft hover:underline" onclick={onclose}>Close</button>
  </div>
</form>
