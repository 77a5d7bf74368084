<script lang="ts">
  import type { Condition, FilterField } from '$lib/api/types';
  import { calendarDay } from '$lib/format/dates';
  import Popup from '$lib/ui/Popup.svelte';
  import { Checkbox } from 'flowbite-svelte';
  import ConditionEditor from './ConditionEditor.svelte';
  import { begin, everyone, kindsWords, toggled, token, type FilterDraft } from './draft';
  import FieldPicker from './FieldPicker.svelte';

  interface Props {
    draft: FilterDraft;
    fields: FilterField[];
    onchange: (draft: FilterDraft) => void;
  }

  let { draft, fields, onchange }: Props = $props();

  /** Which token is open: an index, -1 for the kinds, -2 for a new condition, null for none. */
  let open = $state<number | null>(null);

  const joint = $derived(draft.joint === 'ALL' ? 'and' : 'or');
  const others = $derived(fields.filter((f) => f.name !== 'kind'));
  const tokenLook =
    'rounded-lg border border-line bg-card px-2.5 py-1 whitespace-nowrap hover:border-kelp-mid';

  function setCondition(index: number, condition: Condition) {
    onchange({ ...draft, conditions: draft.conditions.with(index, condition) });
  }

  function remove(index: number) {
    open = null;
    onchange({ ...draft, conditions: draft.conditions.toSpliced(index, 1) });
  }

  function add(field: FilterField) {
    const index = draft.conditions.length;
    onchange({ ...draft, conditions: [...draft.conditions, begin(field)] });
    open = index;
  }

  function onTokenKey(event: KeyboardEvent, index: number) {
    if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      remove(index);
    }
  }
</script>

<div class="flex flex-wrap items-center gap-2" role="group" aria-label="Filter">
  <h1 class="me-1 text-[1.4rem]">Show</h1>
  <Popup bind:open={() => open === -1, (o) => (open = o ? -1 : null)} label="Kinds of people">
    {#snippet trigger(toggle)}
      <button type="button" class={`${tokenLook} font-semibold`} onclick={toggle}>
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
  {#if draft.conditions.length}<span>whose</span>{/if}
  {#each draft.conditions as condition, i (i)}
    {@const shown = token(condition, fields, calendarDay)}
    {#if i > 0}
      <button
        type="button"
        class="rounded px-1 hover:bg-shade"
        title={joint === 'and'
          ? 'All must hold. Press for “or”.'
          : 'One is enough. Press for “and”.'}
        onclick={() => onchange({ ...draft, joint: draft.joint === 'ALL' ? 'ANY' : 'ALL' })}
        >{joint}</button
      >
    {/if}
    <Popup bind:open={() => open === i, (o) => (open = o ? i : null)} label={shown.label}>
      {#snippet trigger(toggle)}
        <button
          type="button"
          class={tokenLook}
          onclick={toggle}
          onkeydown={(event) => onTokenKey(event, i)}
        >
          <span class="font-semibold">{shown.label}</span>
          <span class="text-[0.87rem] text-soft">{shown.words}</span>
          <span class="font-semibold">{shown.values}</span>
        </button>
      {/snippet}
      <ConditionEditor
        {condition}
        {fields}
        onchange={(c) => setCondition(i, c)}
        onremove={() => remove(i)}
        ondone={() => (open = null)}
      />
    </Popup>
  {/each}
  <Popup bind:open={() => open === -2, (o) => (open = o ? -2 : null)} label="A new condition">
    {#snippet trigger(toggle)}
      <button type="button" class="font-semibold text-kelp hover:underline" onclick={toggle}>
        + {draft.conditions.length ? joint : 'whose'}
      </button>
    {/snippet}
    <FieldPicker fields={others} onpick={add} />
  </Popup>
  {#if draft.conditions.length || draft.kinds.length}
    <button
      type="button"
      class="ms-1 text-[0.93rem] text-soft hover:underline"
      onclick={() => ((open = null), onchange(everyone))}>Clear</button
    >
  {/if}
</div>
