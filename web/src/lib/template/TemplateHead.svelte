<script lang="ts">
  import { topicItems } from '$lib/house/topics';
  import { letterheadsQuery, topicsQuery } from '$lib/api/queries';
  import type { TemplateDraft } from '$lib/api/types';
  import { createQuery } from '@tanstack/svelte-query';
  import { Checkbox, Input, Label, Select } from 'flowbite-svelte';

  interface Props {
    draft: TemplateDraft;
    readonly: boolean;
    /** Labels in use, to be used again. */
    labels: string[];
    /** What is wrong with the name, or nothing. */
    wrong: string;
    onchange: () => void;
  }

  let { draft = $bindable(), readonly, labels, wrong, onchange }: Props = $props();
  const letterheads = createQuery(letterheadsQuery);
  const topics = createQuery(topicsQuery);

  const beginnings = [
    { value: 'person', name: 'a person' },
    { value: 'member', name: 'a member' },
    { value: 'quote', name: 'a quote' },
    { value: 'event', name: 'an event' }
  ];
  const papers = $derived([
    { value: '', name: 'None' },
    ...(letterheads.data ?? []).map((l) => ({ value: String(l.id), name: l.name }))
  ]);
</script>

<div class="flex flex-wrap items-end gap-x-3 gap-y-2">
  <div class="min-w-60 flex-[2]">
    <Label for="name" class="mb-1 text-soft">Name of the template</Label>
    <Input
      id="name"
      bind:value={draft.name}
      oninput={onchange}
      {readonly}
      aria-invalid={wrong ? 'true' : undefined}
      aria-describedby="name-wrong"
    />
  </div>
  <div class="min-w-32 flex-1">
    <Label for="label" class="mb-1 text-soft">Label</Label>
    <Input
      id="label"
      list="labels"
      bind:value={draft.label}
      oninput={onchange}
      {readonly}
      autocomplete="off"
    />
    <datalist id="labels">
      {#each labels as label (label)}<option value={label}></option>{/each}
    </datalist>
  </div>
  <div class="w-32">
    <Label for="starts-from" class="mb-1 text-soft">Begins from</Label>
    <Select
      id="starts-from"
      placeholder=""
      disabled={readonly}
      items={beginnings}
      bind:value={draft.startsFrom}
      {onchange}
    />
  </div>
  <div class="w-36">
    <Label for="paper" class="mb-1 text-soft">Letterhead</Label>
    <Select
      id="paper"
      placeholder=""
      disabled={readonly}
      items={papers}
      value={String(draft.letterheadId ?? '')}
      onchange={(e) => {
        draft.letterheadId = e.currentTarget.value ? Number(e.currentTarget.value) : null;
        onchange();
      }}
    />
  </div>
  <div class="w-40">
    <Label for="topic" class="mb-1 text-soft">Topic</Label>
    <Select
      id="topic"
      placeholder=""
      disabled={readonly}
      items={topicItems(topics.data, draft.topicId)}
      value={draft.topicId}
      onchange={(e) => {
        draft.topicId = Number(e.currentTarget.value);
        onchange();
      }}
    />
  </div>
  <div class="flex flex-col gap-2 pb-0.5">
    <Checkbox bind:checked={draft.promotional} disabled={readonly} {onchange}>Promotional</Checkbox>
    <Checkbox bind:checked={draft.private} disabled={readonly} {onchange}>Only I see it</Checkbox>
  </div>
</div>
{#if wrong}<p id="name-wrong" class="text-brick" role="alert">{wrong}</p>{/if}
