<script lang="ts">
  import { beforeNavigate, goto } from '$app/navigation';
  import { ApiProblem, answer, api } from '$lib/api/client';
  import { fieldsQuery, topicsQuery } from '$lib/api/queries';
  import type { Template } from '$lib/api/types';
  import { session } from '$lib/session/session.svelte';
  import Act from '$lib/ui/Act.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { Input, Label, Select } from 'flowbite-svelte';
  import TextEditor from './TextEditor.svelte';

  interface Props {
    /** The template to change, or null for a new one. */
    template: Template | null;
  }

  let { template }: Props = $props();

  const queries = useQueryClient();
  const fields = createQuery(fieldsQuery);
  const topics = createQuery(topicsQuery);

  // A form begins with what was there and then goes its own way.
  // svelte-ignore state_referenced_locally
  let draft = $state({
    name: template?.name ?? '',
    subject: template?.subject ?? '',
    body: template?.body ?? '',
    topicId: template?.topicId ?? 0,
    version: template?.version ?? 0
  });
  let wrong = $state<ApiProblem | null>(null);
  let changed = $state(false);
  let busy = $state(false);
  let bodyEditor = $state<TextEditor>();

  const mayWrite = $derived(session.colleague?.mayWrite ?? false);
  const topicId = $derived(draft.topicId || (topics.data?.[0]?.id ?? 0));
  const about = (field: string) => (wrong?.field === field ? wrong.message : '');

  async function save() {
    busy = true;
    wrong = null;
    try {
      const body = { ...draft, topicId };
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
      if (!wrong?.field) notices.fail(error);
    } finally {
      busy = false;
    }
  }

  // Leaving the page altogether, the browser itself asks.
  beforeNavigate((navigation) => {
    const loses = 'The template is not saved. Leave it and lose what you changed?';
    if (changed && (navigation.type === 'leave' || !confirm(loses))) navigation.cancel();
  });
</script>

<svelte:head><title>{draft.name || 'New template'} · Jemble</title></svelte:head>

<div class="flex flex-wrap items-end gap-3">
  <div class="min-w-60 flex-1">
    <Label for="name" class="mb-1 text-soft">Name of the template</Label>
    <Input
      id="name"
      bind:value={draft.name}
      oninput={() => (changed = true)}
      readonly={!mayWrite}
      aria-invalid={about('name') ? 'true' : undefined}
      aria-describedby="name-wrong"
    />
  </div>
  <div class="w-52">
    <Label for="topic" class="mb-1 text-soft">Topic, which people can leave</Label>
    <Select
      id="topic"
      placeholder=""
      disabled={!mayWrite}
      items={(topics.data ?? []).map((t) => ({ value: t.id, name: t.name }))}
      value={topicId}
      onchange={(event) => {
        draft.topicId = Number(event.currentTarget.value);
        changed = true;
      }}
    />
  </div>
  {#if mayWrite}
    <Act look="main" onclick={save} disabled={busy || !changed}>
      {busy ? 'Saving…' : changed ? 'Save' : 'Saved'}
    </Act>
  {:else}
    <p class="text-soft">Readers change nothing; ask an administrator.</p>
  {/if}
</div>
{#if about('name')}<p id="name-wrong" class="text-brick" role="alert">{about('name')}</p>{/if}
<section class="panel flex min-h-96 flex-1 flex-col" aria-label="Message">
  {#if fields.data}
    <div class="flex items-baseline gap-2 border-b border-line px-4 py-2">
      <span class="text-soft">Subject</span>
      <div class="min-w-0 flex-1 font-semibold">
        <TextEditor
          value={draft.subject}
          fields={fields.data.merge}
          label="Subject"
          singleLine
          readonly={!mayWrite}
          onchange={(subject) => ((draft.subject = subject), (changed = true))}
          onenter={() => bodyEditor?.focus()}
        />
      </div>
    </div>
    <TextEditor
      bind:this={bodyEditor}
      value={draft.body}
      fields={fields.data.merge}
      label="Message"
      readonly={!mayWrite}
      onchange={(body) => ((draft.body = body), (changed = true))}
    />
    {#if about('body')}
      <p class="border-t border-line bg-brick-pale px-4 py-2" role="alert">{about('body')}</p>
    {/if}
  {/if}
</section>
