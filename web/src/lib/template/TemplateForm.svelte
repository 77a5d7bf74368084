<script lang="ts">
  import { beforeNavigate, goto } from '$app/navigation';
  import { ApiProblem, answer, api } from '$lib/api/client';
  import { fieldsQuery, templatesQuery } from '$lib/api/queries';
  import type { Template, TemplateDraft, TemplateVersion } from '$lib/api/types';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { beginning, draftOf } from './beginning';
  import Overtaken from '$lib/message/Overtaken.svelte';
  import PreviewPane from '$lib/message/PreviewPane.svelte';
  import { createPreview } from '$lib/letter/preview.svelte';
  import TemplateHead from './TemplateHead.svelte';
  import TemplatePast from './TemplatePast.svelte';
  import LateEditor from '$lib/editor/LateEditor.svelte';

  interface Props {
    /** The template to change, or null for a new one. */
    template: Template | null;
    /** What a new one begins with. */
    letterheadId: number | null;
    topicId: number;
    body: string;
  }

  let { template, letterheadId, topicId, body }: Props = $props();

  const queries = useQueryClient();
  const fields = createQuery(fieldsQuery);
  const others = createQuery(templatesQuery);

  // A form begins with what was there and then goes its own way.
  // svelte-ignore state_referenced_locally
  let draft = $state<TemplateDraft>(
    template ? draftOf(template) : beginning(letterheadId, topicId, body)
  );
  let wrong = $state<ApiProblem | null>(null);
  let changed = $state(false);
  let busy = $state(false);
  let personId = $state<number | null>(null);
  let bodyEditor = $state<LateEditor>();

  const mayWrite = $derived(session.may('TEMPLATES'));
  const labels = $derived([...new Set((others.data ?? []).map((t) => t.label).filter(Boolean))]);
  const preview = createPreview(() => ({
    subject: draft.subject,
    body: draft.body,
    letterheadId: draft.letterheadId,
    letterhead: null,
    promotional: draft.promotional,
    beside: null,
    personId
  }));
  const overtaken = $derived(wrong?.status === 409);
  const about = (field: string) => (wrong?.field === field ? wrong.message : '');

  async function save() {
    busy = true;
    wrong = null;
    try {
      const body = $state.snapshot(draft);
      const saved = template
        ? await answer(
            api.PUT('/api/templates/{id}', { params: { path: { id: template.id } }, body })
          )
        : await answer(api.POST('/api/templates', { body }));
      draft.version = saved.version;
      changed = false;
      await queries.invalidateQueries({ queryKey: ['templates'] });
      queries.setQueryData(['template', saved.id], saved);
      notices.say(`“${saved.name}” is saved.`);
      if (!template) await goto(`/templates/${saved.id}`);
    } catch (error) {
      wrong = error instanceof ApiProblem ? error : null;
      if (!wrong?.field && !overtaken) notices.fail(error);
    } finally {
      busy = false;
    }
  }

  async function theirs(): Promise<Template> {
    const params = { path: { id: template?.id ?? 0 } };
    return answer(api.GET('/api/templates/{id}', { params }));
  }

  /** What stands here is saved over what somebody else has saved meanwhile. */
  async function keepMine() {
    draft.version = (await theirs()).version;
    await save();
  }

  async function takeTheirs() {
    draft = draftOf(await theirs());
    wrong = null;
    changed = false;
  }

  async function remove() {
    if (!template || !confirm(`Delete the template “${template.name}” for good?`)) return;
    try {
      await answer(api.DELETE('/api/templates/{id}', { params: { path: { id: template.id } } }));
      changed = false;
      await queries.invalidateQueries({ queryKey: ['templates'] });
      notices.say(`The template “${template.name}” is gone; mailings keep their texts.`);
      await goto('/templates');
    } catch (error) {
      notices.fail(error);
    }
  }

  function restore(version: TemplateVersion) {
    draft.subject = version.subject;
    draft.body = version.body;
    changed = true;
    notices.say('The earlier text is back; save it to keep it.');
  }

  // Leaving the page altogether, the browser itself asks.
  beforeNavigate((navigation) => {
    const loses = 'The template is not saved. Leave it and lose what you changed?';
    if (changed && (navigation.type === 'leave' || !confirm(loses))) navigation.cancel();
  });
</script>

<svelte:head><title>{draft.name || 'New template'} · Jemble</title></svelte:head>

<div class="flex flex-wrap items-start justify-between gap-3">
  <h1 class="text-[1.4rem]">{template ? 'Template' : 'New template'}</h1>
  <div class="flex flex-wrap gap-2">
    {#if template}
      <TemplatePast
        templateId={template.id}
        version={draft.version}
        now={draft}
        {mayWrite}
        onrestore={restore}
      />
      {#if mayWrite}<HouseButton weight="grave" onclick={remove}>Delete</HouseButton>{/if}
    {/if}
    {#if mayWrite}
      <HouseButton weight="main" onclick={save} disabled={busy || !changed}>
        {busy ? 'Saving…' : changed ? 'Save' : 'Saved'}
      </HouseButton>
    {:else}
      <p class="text-soft">{session.why('TEMPLATES')}</p>
    {/if}
  </div>
</div>
<Overtaken
  open={overtaken}
  says={wrong?.message ?? ''}
  mine={draft}
  {theirs}
  onkeep={keepMine}
  ontake={takeTheirs}
/>
<TemplateHead
  bind:draft
  readonly={!mayWrite}
  {labels}
  wrong={about('name')}
  onchange={() => (changed = true)}
/>
<div
  class="grid min-h-[26rem] flex-1 grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-3 max-lg:grid-cols-1"
>
  <section class="panel flex min-h-96 min-w-0 flex-col" aria-label="Message">
    {#if fields.data}
      <div class="flex items-baseline gap-2 border-b border-line px-4 py-2">
        <span class="text-soft">Subject</span>
        <div class="min-w-0 flex-1 font-semibold">
          <LateEditor
            value={draft.subject}
            fields={fields.data.merge}
            hints={{ samples: preview.data?.samples }}
            label="Subject"
            singleLine
            readonly={!mayWrite}
            onchange={(subject) => ((draft.subject = subject), (changed = true))}
            onenter={() => bodyEditor?.focus()}
          />
        </div>
      </div>
      <LateEditor
        bind:this={bodyEditor}
        value={draft.body}
        fields={fields.data.merge}
        hints={{ samples: preview.data?.samples }}
        label="Message"
        readonly={!mayWrite}
        onchange={(body) => ((draft.body = body), (changed = true))}
      />
      {#if wrong?.field && wrong.field !== 'name'}
        <p class="border-t border-line bg-brick-pale px-4 py-2" role="alert">{wrong.message}</p>
      {/if}
    {/if}
  </section>
  <PreviewPane preview={preview.data} error={preview.error} onperson={(id) => (personId = id)} />
</div>
