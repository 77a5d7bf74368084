<script lang="ts">
  import { goto } from '$app/navigation';
  import { ApiProblem, answer, api } from '$lib/api/client';
  import { fieldsQuery, templatesQuery } from '$lib/api/queries';
  import type { LetterheadDraft, SavedLetterhead } from '$lib/api/types';
  import { session } from '$lib/session/session.svelte';
  import Overtaken from '$lib/message/Overtaken.svelte';
  import PreviewPane from '$lib/message/PreviewPane.svelte';
  import { createPreview } from '$lib/letter/preview.svelte';
  import LateEditor from '$lib/editor/LateEditor.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { Input, Label, Select } from 'flowbite-svelte';
  import Colours from './Colours.svelte';
  import LogoChoice from '$lib/picture/PictureChoice.svelte';
  import { draftOf, fresh, sample, words } from './letterhead';

  interface Props {
    /** The letterhead to change, or null for a new one. */
    letterhead: SavedLetterhead | null;
  }

  let { letterhead }: Props = $props();

  const queries = useQueryClient();
  const fields = createQuery(fieldsQuery);
  const templates = createQuery(templatesQuery);
  // A form begins with what was there and then goes its own way.
  // svelte-ignore state_referenced_locally
  let draft = $state<LetterheadDraft>(letterhead ? draftOf(letterhead) : { ...fresh });
  let wrong = $state<ApiProblem | null>(null);
  let busy = $state(false);
  let shown = $state('');
  let personId = $state<number | null>(null);

  const mayWrite = $derived(session.may('TEMPLATES'));
  const text = $derived((templates.data ?? []).find((t) => String(t.id) === shown) ?? sample);
  const preview = createPreview(() => ({
    subject: text.subject,
    body: text.body,
    letterheadId: null,
    letterhead: $state.snapshot(draft),
    promotional: true,
    beside: null,
    personId
  }));

  async function step(work: () => Promise<string>) {
    busy = true;
    wrong = null;
    try {
      const words = await work();
      await queries.invalidateQueries({ queryKey: ['letterheads'] });
      notices.say(words);
      await goto('/letterheads');
    } catch (error) {
      wrong = error instanceof ApiProblem && (error.field || error.status === 409) ? error : null;
      if (!wrong) notices.fail(error);
    } finally {
      busy = false;
    }
  }

  async function theirs(): Promise<SavedLetterhead> {
    const params = { path: { id: letterhead?.id ?? 0 } };
    return answer(api.GET('/api/letterheads/{id}', { params }));
  }

  /** What stands here is saved over what somebody else has saved meanwhile. */
  async function keepMine() {
    draft.version = (await theirs()).version;
    await save();
  }

  async function takeTheirs() {
    draft = draftOf(await theirs());
    wrong = null;
  }

  const save = () =>
    step(async () => {
      const body = $state.snapshot(draft);
      const params = { path: { id: letterhead?.id ?? 0 } };
      const saved = letterhead
        ? await answer(api.PUT('/api/letterheads/{id}', { params, body }))
        : await answer(api.POST('/api/letterheads', { body }));
      queries.setQueryData(['letterhead', saved.id], saved);
      return `The letterhead “${saved.name}” is saved.`;
    });

  const remove = () =>
    step(async () => {
      const params = { path: { id: letterhead?.id ?? 0 } };
      await answer(api.DELETE('/api/letterheads/{id}', { params }));
      return `The letterhead “${draft.name}” is gone.`;
    });
</script>

<svelte:head><title>{draft.name || 'New letterhead'} · Jemble</title></svelte:head>

<div class="flex flex-wrap items-center justify-between gap-3">
  <h1 class="text-[1.4rem]">{letterhead ? 'Letterhead' : 'New letterhead'}</h1>
  {#if mayWrite}
    <div class="flex gap-2">
      {#if letterhead?.used === 0}<HouseButton weight="grave" onclick={remove}>Delete</HouseButton
        >{/if}
      <HouseButton weight="main" onclick={save} disabled={busy}
        >{busy ? 'Saving…' : 'Save'}</HouseButton
      >
    </div>
  {/if}
</div>
<Overtaken
  open={wrong?.status === 409 && !wrong.field}
  says={wrong?.message ?? ''}
  mine={words(draft)}
  theirs={async () => words(await theirs())}
  onkeep={keepMine}
  ontake={takeTheirs}
/>
<div
  class="grid min-h-[30rem] flex-1 grid-cols-[minmax(0,2fr)_minmax(0,3fr)] gap-3 max-lg:grid-cols-1"
>
  <fieldset class="panel flex min-w-0 flex-col gap-3 p-4" disabled={!mayWrite}>
    <div>
      <Label for="name" class="mb-1 text-soft">Name</Label>
      <Input id="name" bind:value={draft.name} />
    </div>
    {#if wrong?.field}<p class="text-brick" role="alert">{wrong.message}</p>{/if}
    <Colours bind:draft />
    <LogoChoice bind:logoKey={draft.logoKey} />
    {#if fields.data}
      {#each ['header', 'footer'] as const as part (part)}
        <div>
          <p class="mb-1 text-soft">{part === 'header' ? 'Words above' : 'Words below'}</p>
          <div class="flex min-h-24 flex-col rounded-lg border border-line">
            <LateEditor
              value={draft[part]}
              fields={fields.data.merge}
              label={part === 'header' ? 'Words above' : 'Words below'}
              compact
              readonly={!mayWrite}
              onchange={(html) => (draft[part] = html)}
            />
          </div>
        </div>
      {/each}
    {/if}
  </fieldset>
  <div class="flex min-h-96 min-w-0 flex-col gap-2">
    <Select
      placeholder=""
      aria-label="Shown with"
      items={[
        { value: '', name: 'Shown with a message that has everything' },
        ...(templates.data ?? []).map((t) => ({
          value: String(t.id),
          name: `Shown with “${t.name}”`
        }))
      ]}
      bind:value={shown}
    />
    <div class="grid min-h-0 flex-1">
      <PreviewPane
        preview={preview.data}
        error={preview.error}
        onperson={(id) => (personId = id)}
      />
    </div>
  </div>
</div>
