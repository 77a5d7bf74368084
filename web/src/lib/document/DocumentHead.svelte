<script lang="ts">
  import type { DocumentDraft } from '$lib/api/types';
  import { Checkbox, Input, Label, Select } from 'flowbite-svelte';

  interface Props {
    draft: DocumentDraft;
    readonly: boolean;
    onchange: () => void;
  }

  let { draft = $bindable(), readonly, onchange }: Props = $props();
  const beginnings = [
    { value: 'person', name: 'a person' },
    { value: 'member', name: 'a member' },
    { value: 'quote', name: 'a quote' },
    { value: 'event', name: 'an event' }
  ];
</script>

<div class="flex flex-wrap items-end gap-x-3 gap-y-2">
  <div class="min-w-60 flex-[2]">
    <Label for="name" class="mb-1 text-soft">Name of the document</Label>
    <Input id="name" bind:value={draft.name} oninput={onchange} {readonly} maxlength={120} />
  </div>
  <div class="min-w-32 flex-1">
    <Label for="label" class="mb-1 text-soft">Label</Label>
    <Input
      id="label"
      bind:value={draft.label}
      oninput={onchange}
      {readonly}
      maxlength={60}
      autocomplete="off"
    />
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
  <Checkbox class="mb-2.5" disabled={readonly} bind:checked={draft.private} {onchange}
    >Mine alone</Checkbox
  >
</div>
