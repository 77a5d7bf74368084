<script lang="ts">
  import { fieldsQuery } from '$lib/api/queries';
  import LateEditor from '$lib/editor/LateEditor.svelte';
  import type { Channel } from '$lib/ways/ways';
  import { createQuery } from '@tanstack/svelte-query';

  interface Props {
    /** Which way they go; the subject of a notice is its title, a text has none. */
    channel?: Channel;
    subject: string;
    body: string;
    onsubject: (subject: string) => void;
    onbody: (body: string) => void;
  }

  let { channel = 'EMAIL', subject, body, onsubject, onbody }: Props = $props();

  const fields = createQuery(fieldsQuery);
  let message = $state<LateEditor>();
  const names = $derived(
    {
      EMAIL: { subject: 'Subject', body: 'Message' },
      TEXT: { subject: '', body: 'Text message' },
      APP: { subject: 'Title', body: 'Text of the notice' },
      POST: { subject: 'Subject', body: 'Message' }
    }[channel]
  );
</script>

{#if fields.data}
  {#if names.subject}
    <div class="flex items-baseline gap-2 border-b border-line pb-1">
      <span class="text-soft">{names.subject}</span>
      <div class="min-w-0 flex-1 font-semibold">
        <LateEditor
          value={subject}
          fields={fields.data.merge}
          label={names.subject}
          singleLine
          onchange={onsubject}
          onenter={() => message?.focus()}
        />
      </div>
    </div>
  {/if}
  <div class="flex h-72 flex-col rounded-lg border border-line">
    <LateEditor
      bind:this={message}
      value={body}
      fields={fields.data.merge}
      label={names.body}
      lines={channel !== 'EMAIL'}
      onchange={onbody}
    />
  </div>
{/if}
