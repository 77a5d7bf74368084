<script lang="ts">
  import { goto } from '$app/navigation';
  import { answer, api } from '$lib/api/client';
  import { mailingsQuery, templatesQuery } from '$lib/api/queries';
  import type { Filter, RelatedKind, SelectionBody } from '$lib/api/types';
  import { count as number, people } from '$lib/format/numbers';
  import MergeText from '$lib/editor/MergeText.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  /** How many of the last mailings are offered to begin from. */
  const SHOWN = 3;

  interface Props {
    open: boolean;
    /** How many will be in the audience. */
    count: number;
    filter: Filter | null;
    /** The name under which the filter is kept, if it is. */
    name?: string | null;
    picks: number[];
    leftOut: number[];
    /** Quotes, tasks or events it is about; their people are written to. */
    records?: { kind: RelatedKind; which: SelectionBody; words: string } | null;
  }

  let {
    open = $bindable(),
    count,
    filter,
    name = null,
    picks,
    leftOut,
    records = null
  }: Props = $props();

  const templates = createQuery(() => ({ ...templatesQuery(), enabled: open }));
  const mailings = createQuery(() => ({ ...mailingsQuery(), enabled: open }));
  const sent = $derived((mailings.data ?? []).filter((m) => m.releasedAt).slice(0, SHOWN));
  let recordEach = $state(false);
  let busy = $state(false);

  async function begin(templateId: number | null, mailingId: number | null = null) {
    busy = true;
    try {
      const parts = filter ? [{ name, filter }] : [];
      const about = records ? { kind: records.kind, which: records.which } : null;
      const body = { records: about, recordEach, parts, picks, leftOut, templateId, mailingId };
      const begun = await answer(api.POST('/api/mailings', { body }));
      open = false;
      await goto(`/mailings/${begun.id}`);
    } catch (error) {
      notices.fail(error);
    } finally {
      busy = false;
    }
  }

  function focusFirst(list: HTMLElement) {
    list.querySelector('button')?.focus();
  }

  /** Arrow keys move between the choices. */
  function onkeydown(event: KeyboardEvent & { currentTarget: HTMLElement }) {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (!step) return;
    event.preventDefault();
    const choices = [...event.currentTarget.querySelectorAll('button')];
    const at = choices.indexOf(document.activeElement as HTMLButtonElement);
    choices[(at + step + choices.length) % choices.length]?.focus();
  }
</script>

<Ask
  bind:open
  title={records ? `Write about ${number(count)} ${records.words}` : `Write to ${people(count)}`}
>
  <p class="mb-2 text-soft">
    Begin from a template, from a mailing that was sent, or from an empty message.
  </p>
  {#if records}
    <label class="mb-3 flex items-center gap-2">
      <input type="checkbox" class="rounded border-soft text-kelp" bind:checked={recordEach} />
      One message for each of the {records.words}; otherwise one about each person’s newest
    </label>
  {/if}
  <!-- The buttons inside are what is used; the list only moves between them. -->
  <!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
  <ul
    class="flex flex-col gap-1"
    {onkeydown}
    aria-label="Templates"
    {@attach templates.isSuccess && focusFirst}
  >
    {#each templates.data ?? [] as template (template.id)}
      <li>
        <button
          type="button"
          class="w-full rounded-lg border border-line-soft px-3 py-2 text-left hover:bg-kelp-pale focus:bg-kelp-pale"
          disabled={busy}
          onclick={() => begin(template.id)}
        >
          <span class="block font-semibold">{template.name}</span>
          <span class="block truncate text-[0.87rem] text-soft"
            ><MergeText text={template.subject} /></span
          >
        </button>
      </li>
    {/each}
    {#each sent as mailing (mailing.id)}
      <li>
        <button
          type="button"
          class="w-full rounded-lg border border-line-soft px-3 py-2 text-left hover:bg-kelp-pale focus:bg-kelp-pale"
          disabled={busy}
          onclick={() => begin(null, mailing.id)}
        >
          <span class="block font-semibold">{mailing.name}</span>
          <span class="block truncate text-[0.87rem] text-soft"
            >as sent before: <MergeText text={mailing.subject} /></span
          >
        </button>
      </li>
    {/each}
    <li>
      <button
        type="button"
        class="w-full rounded-lg px-3 py-2 text-left font-semibold text-kelp hover:bg-kelp-pale focus:bg-kelp-pale"
        disabled={busy}
        onclick={() => begin(null)}>An empty message</button
      >
    </li>
  </ul>
  {#snippet actions()}
    <button type="button" class="text-soft hover:underline" onclick={() => (open = false)}>
      Not now
    </button>
  {/snippet}
</Ask>
