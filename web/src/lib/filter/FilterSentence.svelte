<script lang="ts">
  import type { FilterField, RelatedFields } from '$lib/api/types';
  import { keys } from '$lib/keys/keys.svelte';
  import Popup from '$lib/ui/Popup.svelte';
  import { Checkbox } from 'flowbite-svelte';
  import { onMount } from 'svelte';
  import { everyone, kindsWords, toggled, type FilterDraft } from './draft';
  import GroupTokens from './GroupTokens.svelte';
  import TypedBox from './TypedBox.svelte';
  import type { Subject } from './typed.svelte';

  interface Props {
    draft: FilterDraft;
    fields: FilterField[];
    related: RelatedFields[];
    onchange: (draft: FilterDraft) => void;
    /** What is listed, when it is not people of some kinds. */
    subject?: Exclude<Subject, 'people'>;
    /** Enter after typing: on to the list. */
    ondone?: () => void;
    /** Ctrl+Enter after typing: write to all that match. */
    onwrite?: () => void;
  }

  let { draft, fields, related, onchange, subject, ondone, onwrite }: Props = $props();

  let choosing = $state(false);
  let sentence: HTMLDivElement;

  /** The last one belongs to the sentence itself, not to a group within it. */
  function addCondition() {
    const adders = sentence.querySelectorAll<HTMLElement>('[data-add-condition]');
    adders[adders.length - 1]?.click();
  }

  onMount(() => keys.use({ '+': addCondition }));
  const others = $derived(subject ? fields : fields.filter((f) => f.name !== 'kind'));
</script>

<div
  bind:this={sentence}
  class="flex flex-wrap items-center gap-2"
  role="group"
  aria-label="Filter"
>
  <h1 class="me-1 text-[1.4rem]">Show</h1>
  {#if subject}
    <span class="font-semibold">{subject}</span>
  {:else}
    <Popup bind:open={choosing} label="Kinds of people">
      {#snippet trigger(toggle)}
        <button
          type="button"
          class="rounded-lg border border-line bg-card px-2.5 py-1 font-semibold whitespace-nowrap hover:border-kelp-mid"
          onclick={toggle}
        >
          {kindsWords(draft.kinds)} ▾
        </button>
      {/snippet}
      <fieldset class="flex flex-col gap-1.5">
        <legend class="sr-only">Kinds of people</legend>
        {#each ['member', 'lead', 'contact'] as kind (kind)}
          <Checkbox
            checked={draft.kinds.includes(kind)}
            onchange={() => onchange({ ...draft, kinds: toggled(draft.kinds, kind) })}
            >{kind}s</Checkbox
          >
        {/each}
        <p class="text-[0.87rem] text-soft">None ticked shows all.</p>
      </fieldset>
    </Popup>
  {/if}
  {#if draft.parts.length && draft.parts[0]?.is === 'condition'}<span>whose</span>{/if}
  {#if draft.parts.length && draft.parts[0]?.is === 'related'}<span>who</span>{/if}
  <GroupTokens
    group={draft}
    fields={others}
    {related}
    lead="whose"
    onchange={(group) => onchange({ ...draft, ...group })}
  />
  {#if ondone}
    <TypedBox subject={subject ?? 'people'} {draft} {onchange} {ondone} {onwrite} />
  {/if}
  {#if draft.parts.length || draft.kinds.length}
    <button
      type="button"
      class="ms-1 min-h-6 text-[0.93rem] text-soft hover:underline"
      onclick={() => onchange(everyone)}>Clear</button
    >
  {/if}
</div>
