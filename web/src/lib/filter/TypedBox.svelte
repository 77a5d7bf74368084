<script lang="ts">
  import { keys } from '$lib/keys/keys.svelte';
  import { onMount } from 'svelte';
  import type { FilterDraft } from './draft';
  import { TypedSearch, type Subject } from './typed.svelte';

  interface Props {
    subject: Subject;
    draft: FilterDraft;
    onchange: (draft: FilterDraft) => void;
    /** Enter: on to the list. */
    ondone?: () => void;
    /** Ctrl+Enter: write to all that match. */
    onwrite?: () => void;
  }

  let { subject, draft, onchange, ondone, onwrite }: Props = $props();

  const examples: Record<Subject, string> = {
    people: 'type: members last visit before may',
    quotes: 'type: open sent last month',
    tasks: 'type: calls due this week mine',
    events: 'type: coming starts next month'
  };
  // What is listed does not change while its screen is there.
  // svelte-ignore state_referenced_locally
  const typed = new TypedSearch(
    subject,
    () => draft,
    (changed) => onchange(changed)
  );
  let box = $state<HTMLInputElement>();
  const id = $props.id();

  async function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Escape') {
      event.preventDefault();
      if (typed.text) typed.undo();
      else ondone?.();
    } else if (event.key === 'Enter') {
      event.preventDefault();
      event.stopPropagation();
      const writes = event.ctrlKey || event.metaKey;
      if (!(await typed.settle())) return;
      box?.blur();
      if (writes) onwrite?.();
      else ondone?.();
    }
  }

  onMount(() => keys.use({ f: () => box?.focus() }));
</script>

<span class="flex min-w-0 flex-wrap items-center gap-x-3 gap-y-1">
  <input
    type="search"
    class="h-8 w-72 max-w-full rounded-lg border-line bg-card px-2.5 py-0 text-[0.95rem] placeholder:text-soft"
    placeholder={examples[subject]}
    aria-label={`Type which ${subject} you seek`}
    aria-describedby={id}
    autocomplete="off"
    spellcheck="false"
    bind:this={box}
    value={typed.text}
    oninput={(event) => typed.type(event.currentTarget.value)}
    {onkeydown}
  />
  <span {id} class={`text-[0.87rem] ${typed.trouble ? 'text-brick' : 'text-ochre'}`} role="status">
    {#if typed.trouble}{typed.trouble}
    {:else if typed.unknown.length}not understood: {typed.unknown
        .map((words) => `“${words}”`)
        .join(', ')}{/if}
  </span>
</span>
