<script lang="ts">
  import type { RelatedFields } from '$lib/api/types';
  import Popup from '$lib/ui/Popup.svelte';
  import { Select } from 'flowbite-svelte';
  import type { DraftPart } from './draft';
  import GroupTokens from './GroupTokens.svelte';
  import { relatedWords } from './token';

  type Related = Extract<DraftPart, { is: 'related' }>;

  interface Props {
    part: Related;
    related: RelatedFields[];
    /** Whether it was just put in. */
    fresh: boolean;
    onchange: (part: Related) => void;
    onremove: () => void;
  }

  let { part, related, fresh, onchange, onremove }: Props = $props();

  const own = $derived(related.find((r) => r.kind === part.kind));
  let open = $state(false);
</script>

{#if own}
  <span
    class="flex flex-wrap items-center gap-2 rounded-lg border border-kelp-mid bg-kelp-pale/60 px-2 py-1"
  >
    <Popup bind:open label={`How many ${own.many}`}>
      {#snippet trigger(toggle)}
        <button type="button" class="min-h-6 font-semibold hover:underline" onclick={toggle}>
          {relatedWords(own, part.atLeast)}
        </button>
      {/snippet}
      <Select
        aria-label={`How many ${own.many}`}
        placeholder=""
        items={[1, 2, 3, 5, 10, 0].map((n) => ({ value: n, name: relatedWords(own, n) }))}
        value={part.atLeast}
        onchange={(event) => {
          open = false;
          onchange({ ...part, atLeast: Number(event.currentTarget.value) });
        }}
      />
    </Popup>
    <GroupTokens
      group={part.where}
      fields={own.fields}
      related={[]}
      lead="whose"
      begun={fresh}
      onchange={(where) => onchange({ ...part, where })}
    />
    <button
      type="button"
      class="min-h-6 min-w-6 text-soft hover:text-brick"
      aria-label={`Remove “${relatedWords(own, part.atLeast)}”`}
      onclick={onremove}>×</button
    >
  </span>
{/if}
