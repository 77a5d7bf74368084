<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { Attribute } from '$lib/api/types';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { Checkbox, Input, Select, Textarea } from 'flowbite-svelte';

  const queries = useQueryClient();
  const attributes = createQuery(() => ({
    queryKey: ['attributes'],
    queryFn: () => answer(api.GET('/api/attributes'))
  }));
  const mayChange = $derived(session.may('SETTINGS'));
  const types = [
    { value: 'TEXT', name: 'text' },
    { value: 'NUMBER', name: 'number' },
    { value: 'DAY', name: 'day' },
    { value: 'FLAG', name: 'yes or no' },
    { value: 'CHOICE', name: 'one of several' }
  ] as const;
  const nothing = {
    name: '',
    label: '',
    type: 'TEXT' as Attribute['type'],
    choices: '',
    required: false
  };
  let open = $state(false);
  let draft = $state({ ...nothing });

  function begin(attribute?: Attribute) {
    draft = attribute ? { ...attribute, choices: attribute.choices.join('\n') } : { ...nothing };
    open = true;
  }

  async function step(work: () => Promise<unknown>) {
    try {
      await work();
      open = false;
      await queries.invalidateQueries();
    } catch (error) {
      notices.fail(error);
    }
  }

  const save = () =>
    step(() => {
      const { name, label, type, required } = draft;
      const body = { label, type, required, choices: draft.choices.split('\n') };
      return name
        ? answer(api.PUT('/api/attributes/{name}', { params: { path: { name } }, body }))
        : answer(api.POST('/api/attributes', { body }));
    });

  const remove = (name: string) =>
    step(() => answer(api.DELETE('/api/attributes/{name}', { params: { path: { name } } })));
</script>

<PageHead title="Fields of this workspace" words="What people have here besides the usual fields.">
  {#snippet actions()}
    {#if mayChange}<HouseButton weight="main" onclick={() => begin()}>New field</HouseButton>{/if}
  {/snippet}
</PageHead>
{#if !mayChange}
  <p class="text-soft">{session.why('SETTINGS')}</p>
{/if}
<ul class="panel max-w-3xl">
  {#each attributes.data ?? [] as attribute (attribute.name)}
    <li class="flex flex-wrap items-center gap-3 border-b border-line-soft px-3.5 py-2">
      <span class="flex-1">
        <span class="font-semibold">{attribute.label}</span>
        <span class="text-soft">
          {types.find((t) => t.value === attribute.type)?.name}{attribute.choices.length
            ? `: ${attribute.choices.join(', ')}`
            : ''}{attribute.required ? ' · required' : ''} · in texts
          <span class="merge-field">{attribute.name}</span>
        </span>
      </span>
      {#if mayChange}
        <HouseButton weight="quiet" onclick={() => begin(attribute)}>Change</HouseButton>
      {/if}
    </li>
  {:else}
    <li class="px-3.5 py-3 text-soft">
      {attributes.isSuccess
        ? 'None yet. A new field can at once be filtered, shown, imported, exported and merged.'
        : 'Looking…'}
    </li>
  {/each}
</ul>

<Ask bind:open title={draft.name ? `Change “${draft.label}”` : 'New field of people'}>
  <form
    id="field-form"
    class="flex flex-col gap-3"
    onsubmit={(event) => {
      event.preventDefault();
      void save();
    }}
  >
    <label class="flex flex-col gap-1">
      Label
      <Input bind:value={draft.label} maxlength={60} required data-autofocus autocomplete="off" />
    </label>
    <label class="flex flex-col gap-1">
      What it holds
      <Select
        placeholder=""
        items={types.map((t) => ({ ...t }))}
        bind:value={draft.type}
        disabled={draft.name !== ''}
      />
    </label>
    {#if draft.type === 'CHOICE'}
      <label class="flex flex-col gap-1">
        Choices, one a line
        <Textarea bind:value={draft.choices} rows={4} class="w-full" />
      </label>
    {/if}
    <Checkbox bind:checked={draft.required}>Every new person must have it</Checkbox>
    {#if draft.name}
      <p class="text-[0.87rem] text-soft">
        To remove the field hides it everywhere; the values stay with the people.
        <button
          type="button"
          class="font-semibold text-brick underline"
          onclick={() => remove(draft.name)}>Remove the field</button
        >
      </p>
    {/if}
  </form>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    <HouseButton weight="main" type="submit" form="field-form"
      >{draft.name ? 'Save' : 'Add the field'}</HouseButton
    >
  {/snippet}
</Ask>
