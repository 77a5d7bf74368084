<script lang="ts">
  import type { FilterField, RelatedFields } from '$lib/api/types';
  import Popup from '$lib/ui/Popup.svelte';
  import { untrack } from 'svelte';
  import { begin, type DraftGroup, type DraftPart } from './draft';
  import FieldPicker from './FieldPicker.svelte';
  import GroupTokens from './GroupTokens.svelte';
  import MatchChoice from './MatchChoice.svelte';
  import RelatedToken from './RelatedToken.svelte';
  import ConditionToken from './ConditionToken.svelte';

  interface Props {
    group: DraftGroup;
    fields: FilterField[];
    /** Records around people; empty within such a record. */
    related: RelatedFields[];
    onchange: (group: DraftGroup) => void;
    /** What the first part is led in by, such as "whose". */
    lead?: string;
    /** Whether a first condition is asked for at once. */
    begun?: boolean;
  }

  let { group, fields, related, onchange, lead = '', begun = false }: Props = $props();

  /** The part whose editor is open; -1 for a new one, null for none. */
  let open = $state<number | null>(untrack(() => (begun ? -1 : null)));
  /** The records that were just put in, which ask for their first condition. */
  let fresh = $state<number | null>(null);

  // Only what was just put in asks for its first condition, not what later stands in its place.
  $effect(() => {
    if (fresh !== null) fresh = null;
  });

  const joint = $derived(group.match === 'ALL' ? 'and' : 'or');

  function set(index: number, part: DraftPart) {
    onchange({ ...group, parts: group.parts.with(index, part) });
  }

  function remove(index: number) {
    open = null;
    onchange({ ...group, parts: group.parts.toSpliced(index, 1) });
  }

  function add(part: DraftPart) {
    const index = group.parts.length;
    onchange({ ...group, parts: [...group.parts, part] });
    open = part.is === 'condition' ? index : null;
    fresh = part.is === 'related' ? index : null;
  }

  function openOnly(index: number, isOpen: boolean) {
    open = isOpen ? index : null;
  }
</script>

{#if group.match === 'NONE' && group.parts.length}
  <MatchChoice
    match={group.match}
    words="none of"
    onchoose={(match) => onchange({ ...group, match })}
  />
{/if}
{#each group.parts as part, i (i)}
  {#if i > 0}
    <MatchChoice
      match={group.match}
      words={joint}
      onchoose={(match) => onchange({ ...group, match })}
    />
  {/if}
  {#if part.is === 'condition'}
    <ConditionToken
      condition={part.condition}
      {fields}
      open={open === i}
      onopen={(o) => openOnly(i, o)}
      onchange={(condition) => set(i, { is: 'condition', condition })}
      onremove={() => remove(i)}
    />
  {:else if part.is === 'related'}
    <RelatedToken
      {part}
      {related}
      fresh={fresh === i}
      onchange={(p) => set(i, p)}
      onremove={() => remove(i)}
    />
  {:else}
    <span
      class="flex flex-wrap items-center gap-2 rounded-lg border border-dashed border-line px-2 py-1"
    >
      <GroupTokens
        group={part.group}
        {fields}
        {related}
        onchange={(inner) => set(i, { is: 'group', group: inner })}
      />
      <button
        type="button"
        class="min-h-6 min-w-6 text-soft hover:text-brick"
        aria-label="Remove the group"
        onclick={() => remove(i)}>×</button
      >
    </span>
  {/if}
{/each}
<Popup bind:open={() => open === -1, (o) => openOnly(-1, o)} label="A new condition">
  {#snippet trigger(toggle)}
    <button
      type="button"
      class="min-h-6 font-semibold text-kelp hover:underline"
      data-add-condition
      onclick={toggle}
    >
      + {group.parts.length ? joint : lead || 'condition'}
    </button>
  {/snippet}
  <FieldPicker
    {fields}
    {related}
    onfield={(field) => add({ is: 'condition', condition: begin(field) })}
    onrelated={(r) =>
      add({ is: 'related', kind: r.kind, atLeast: 1, where: { match: 'ALL', parts: [] } })}
    ongroup={() => add({ is: 'group', group: { match: 'ANY', parts: [] } })}
  />
</Popup>
