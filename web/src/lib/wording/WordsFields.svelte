<script lang="ts">
  import { fieldsQuery } from '$lib/api/queries';
  import LateEditor from '$lib/editor/LateEditor.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  interface Props {
    subject: string;
    body: string;
    onsubject: (subject: string) => void;
    onbody: (body: string) => void;
  }

  let { subject, body, onsubject, onbody }: Props = $props();

  const fields = createQuery(fieldsQuery);
  let message = $state<LateEditor>();
</script>

{#if fields.data}
  <div class="flex items-baseline gap-2 border-b border-line pb-1">
    <span class="text-soft">Subject</span>
    <div class="min-w-0 flex-1 font-semibold">
      <LateEditor
        value={subject}
        fields={fields.data.merge}
        label="Subject"
        singleLine
        onchange={onsubject}
        onenter={() => message?.focus()}
      />
    </div>
  </div>
  <div class="flex h-72 flex-col rounded-lg border border-line">
    <LateEditor
      bind:this={message}
      value={body}
      fields={fields.data.merge}
      label="Message"
      onchange={onbody}
    />
  </div>
{/if}
