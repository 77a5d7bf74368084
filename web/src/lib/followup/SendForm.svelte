<script lang="ts">
  import { fieldsQuery, templatesQuery } from '$lib/api/queries';
  import LateEditor from '$lib/editor/LateEditor.svelte';
  import Gaps from '$lib/letter/Gaps.svelte';
  import { createPreview } from '$lib/letter/preview.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  interface Props {
    body: string;
    onchange: (body: string) => void;
  }

  let { body, onchange }: Props = $props();

  const fields = createQuery(fieldsQuery);
  const templates = createQuery(templatesQuery);
  const preview = createPreview(() => ({
    subject: '',
    body,
    letterheadId: null,
    letterhead: null,
    promotional: false,
    beside: null,
    personId: null
  }));
  const shown = $derived(body.trim() ? preview.data : undefined);

  function take(id: string) {
    const template = templates.data?.find((t) => t.id === Number(id));
    if (template) onchange(template.body);
  }
</script>

<div class="grid grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-3 max-sm:grid-cols-1">
  <div class="flex min-w-0 flex-col">
    <div class="flex h-72 flex-col overflow-hidden rounded-lg border border-line">
      {#if fields.data}
        <LateEditor value={body} fields={fields.data.merge} label="The next message" {onchange} />
      {/if}
    </div>
    <label class="mt-1 flex items-center gap-2 text-[0.9rem]">
      <span class="text-soft">Take the words of</span>
      <select
        class="h-8 min-w-0 flex-1 rounded-md border-line bg-card py-0 ps-1.5 pe-7"
        value=""
        onchange={(event) => {
          take(event.currentTarget.value);
          event.currentTarget.value = '';
        }}
      >
        <option value="">a template…</option>
        {#each templates.data ?? [] as template (template.id)}
          <option value={String(template.id)}>{template.name}</option>
        {/each}
      </select>
    </label>
  </div>
  <div class="min-w-0" aria-live="polite">
    <p class="text-[0.87rem] text-soft">
      {shown ? `As ${shown.personName} would get it` : 'Write what is to be sent.'}
    </p>
    {#if shown}
      {#each shown.errors as error (error)}<p class="text-brick">{error}</p>{/each}
      <Gaps missing={shown.missing} later={shown.later} />
      <div
        class="mt-1 max-h-64 overflow-y-auto font-serif text-[0.95rem] break-words whitespace-pre-wrap"
      >
        {shown.text}
      </div>
    {/if}
  </div>
</div>
