<script lang="ts">
  import { goto } from '$app/navigation';
  import { answer, api } from '$lib/api/client';
  import { documentsQuery, mailingsQuery, templatesQuery } from '$lib/api/queries';
  import type { Filter, RelatedKind, SelectionBody } from '$lib/api/types';
  import { dayAndYear } from '$lib/format/dates';
  import { count as number, people } from '$lib/format/numbers';
  import MergeText from '$lib/editor/MergeText.svelte';
  import { session } from '$lib/session/session.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { Input } from 'flowbite-svelte';
  import { beginnings, type Beginning } from './beginnings';

  interface Props {
    open: boolean;
    /** How many will be in the audience; not known while they are counted. */
    count: number | undefined;
    filter: Filter | null;
    /** The name under which the filter is kept, if it is. */
    name?: string | null;
    picks: number[];
    leftOut: number[];
    /** Quotes, tasks or events it is about; their people are written to. */
    records?: { kind: RelatedKind; which: SelectionBody; words: string } | null;
    /** Whether it begins as letters on paper. */
    onPaper?: boolean;
  }

  let {
    open = $bindable(),
    count,
    filter,
    name = null,
    picks,
    leftOut,
    records = null,
    onPaper = false
  }: Props = $props();

  const templates = createQuery(() => ({ ...templatesQuery(), enabled: open }));
  const mailings = createQuery(() => ({ ...mailingsQuery(), enabled: open }));
  const documents = createQuery(() => ({ ...documentsQuery(), enabled: open }));
  let words = $state('');
  let at = $state(0);
  let recordEach = $state(false);
  let byPost = $derived(onPaper);
  let busy = $state(false);
  const choices = $derived(
    beginnings(words, templates.data ?? [], mailings.data ?? [], byPost ? documents.data : [])
  );
  const title = $derived.by(() => {
    if (records) return `Write about ${number(count ?? 0)} ${records.words}`;
    if (!filter && picks.length === 0) return 'A new mailing';
    if (byPost) return 'Write letters on paper';
    return count === undefined ? 'Write to all who match' : `Write to ${people(count)}`;
  });

  async function begin(from: Beginning | undefined) {
    if (!from || busy) return;
    busy = true;
    try {
      const { templateId, mailingId, documentId } = from;
      const parts = filter ? [{ name, filter }] : [];
      const about = records ? { kind: records.kind, which: records.which } : null;
      const audience = { records: about, recordEach, parts, picks, leftOut };
      const body = { ...audience, templateId, mailingId, byPost, documentId };
      const begun = await answer(api.POST('/api/mailings', { body }));
      open = false;
      await goto(`/mailings/${begun.id}`);
    } catch (error) {
      notices.fail(error);
    } finally {
      busy = false;
    }
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'ArrowDown') at = Math.min(at + 1, choices.length - 1);
    else if (event.key === 'ArrowUp') at = Math.max(at - 1, 0);
    else if (event.key === 'Enter') void begin(choices[at]);
    else return;
    event.preventDefault();
  }

  const inSight = (chosen: boolean) => (option: HTMLElement) => {
    if (chosen) option.scrollIntoView({ block: 'nearest' });
  };
</script>

<Ask bind:open {title} wide>
  {#if records}
    <label class="mb-3 flex items-center gap-2">
      <input type="checkbox" class="rounded border-soft text-kelp" bind:checked={recordEach} />
      One message for each of the {records.words}; otherwise one about each person’s newest
    </label>
  {/if}
  <label class="mb-3 flex items-center gap-2">
    <input type="checkbox" class="rounded border-soft text-kelp" bind:checked={byPost} />
    As letters on paper, to print and post
  </label>
  <Input
    bind:value={words}
    {onkeydown}
    oninput={() => (at = 0)}
    placeholder="Type a template’s name, or that of a mailing you sent"
    aria-label="Begin from"
    role="combobox"
    aria-expanded="true"
    aria-controls="beginnings"
    aria-activedescendant={choices.length ? `begin-${choices[at]?.key}` : undefined}
    autocomplete="off"
    data-autofocus
  />
  <ul
    id="beginnings"
    role="listbox"
    aria-label="Begin from"
    class="mt-2 max-h-[50dvh] overflow-y-auto"
  >
    {#each choices as choice, i (choice.key)}
      <!-- The field above moves through the list by arrow keys. -->
      <!-- svelte-ignore a11y_click_events_have_key_events -->
      <li
        id={`begin-${choice.key}`}
        role="option"
        aria-selected={i === at}
        class={`min-h-[44px] cursor-pointer rounded-md px-2.5 py-1.5 ${i === at ? 'bg-kelp-pale' : 'hover:bg-shade'}`}
        onclick={() => begin(choice)}
        {@attach inSight(i === at)}
      >
        <span class="flex justify-between gap-3">
          <span class="font-semibold">{choice.name}</span>
          {#if choice.releasedAt}
            <span class="flex-none text-[0.87rem] text-soft"
              >sent {dayAndYear(choice.releasedAt, session.zone)}</span
            >
          {/if}
        </span>
        {#if choice.subject}
          <span class="block truncate text-[0.87rem] text-soft"
            ><MergeText text={choice.subject} /></span
          >
        {/if}
      </li>
    {:else}
      <li class="px-2.5 py-1.5 text-soft">
        {templates.isSuccess && mailings.isSuccess
          ? `No template and no mailing is called “${words}”.`
          : 'Looking…'}
      </li>
    {/each}
  </ul>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
  {/snippet}
</Ask>
