<script lang="ts">
  import { colleaguesQuery } from '$lib/api/queries';
  import type { PersonField } from '$lib/api/types';
  import { cellWords } from '$lib/list/cell';
  import { session } from '$lib/session/session.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import ValueInput from '$lib/field/ValueInput.svelte';

  interface Props {
    field: PersonField;
    /** The number of the person's last change, as it is known now. */
    version: number;
    mayChange: boolean;
    /** Saves what was written by who saw that version; answers a sentence when it cannot be. */
    onsave: (text: string | null, version: number) => Promise<string | null>;
  }

  let { field, version, mayChange, onsave }: Props = $props();

  let editing = $state(false);
  let text = $state('');
  let wrong = $state<string | null>(null);
  /** What the writer saw when they began; what comes in later they have not seen. */
  let seen = 0;
  let box: HTMLDivElement;

  const shown = $derived(cellWords(field, field.text, session.zone));
  const colleagues = createQuery(() => ({
    ...colleaguesQuery(),
    enabled: field.type === 'REFERENCE' && editing
  }));

  function begin() {
    text = written();
    seen = version;
    wrong = null;
    editing = true;
  }

  /** A colleague is shown by name and written by login; an instant is written as a day. */
  function written(): string {
    if (field.type === 'REFERENCE') {
      return colleagues.data?.find((c) => c.name === field.text)?.login ?? '';
    }
    return field.type === 'INSTANT' ? (field.text ?? '').slice(0, 10) : (field.text ?? '');
  }

  async function save() {
    if (!editing) return;
    if (text === written()) return close();
    wrong = await onsave(text.trim() === '' ? null : text, seen);
    if (wrong === null) close();
  }

  function close() {
    editing = false;
    requestAnimationFrame(() => box?.querySelector('button')?.focus());
  }

  function focusFirst(node: HTMLElement) {
    node.querySelector<HTMLElement>('input, select')?.focus();
  }
</script>

<div bind:this={box} class="flex items-baseline gap-3 border-b border-line-soft py-1">
  <dt class="w-36 flex-none text-[0.87rem] text-soft">{field.label}</dt>
  <dd class="min-w-0 flex-1">
    {#if editing}
      <form
        {@attach focusFirst}
        onsubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <!-- Escape leaves the field as it was. -->
        <!-- svelte-ignore a11y_no_static_element_interactions -->
        <div
          class="flex items-center gap-2"
          onkeydown={(event) => {
            if (event.key === 'Escape') {
              event.stopPropagation();
              close();
            }
          }}
        >
          <ValueInput {field} value={text} onchange={(t) => (text = t)} />
          <button type="submit" class="min-h-6 font-semibold text-kelp hover:underline">Save</button
          >
          <button type="button" class="min-h-6 text-soft hover:underline" onclick={close}
            >Cancel</button
          >
        </div>
        {#if wrong}<p class="text-[0.87rem] text-brick" role="alert">{wrong}</p>{/if}
      </form>
    {:else if field.editable && mayChange}
      <button
        type="button"
        class="min-h-6 w-full rounded text-left break-words hover:bg-kelp-pale"
        aria-label={`${field.label}: ${shown || 'empty'}. Change`}
        onclick={begin}
      >
        {shown || '—'}
      </button>
    {:else}
      <span class="break-words">{shown || '—'}</span>
    {/if}
  </dd>
</div>
