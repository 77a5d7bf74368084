<script lang="ts">
  import { fieldsQuery } from '$lib/api/queries';
  import type { WaysBody } from '$lib/api/types';
  import LateEditor from '$lib/editor/LateEditor.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { proposed, waysOf, type Channel } from './ways';
  import ReadByPhone from './ReadByPhone.svelte';
  import WaysChoice from './WaysChoice.svelte';

  interface Props {
    /** The ways as they are; null goes by e-mail alone. */
    ways: WaysBody | null | undefined;
    /** What the mail says, from which the others are proposed. */
    subject: string;
    body: string;
    onchange: (ways: WaysBody) => void;
  }

  let { ways, subject, body, onchange }: Props = $props();
  const fields = createQuery(fieldsQuery);
  const now = $derived(waysOf(ways));

  function go(next: Channel[], added: Channel | null) {
    onchange({ ...now, ...proposed(added, now, subject, body), ways: next });
  }

  function notice(part: Partial<typeof now.notice>) {
    onchange({ ...now, notice: { ...now.notice, ...part } });
  }
</script>

<WaysChoice ways={now.ways} editable onchange={go} />
{#if fields.data && now.ways.includes('TEXT')}
  <div class="flex h-32 flex-col rounded-lg border border-line">
    <p class="flex-none px-3.5 pt-1.5 text-[0.87rem] text-soft">Text message</p>
    <LateEditor
      value={now.text.words}
      fields={fields.data.merge}
      label="Text message"
      lines
      onchange={(words) => onchange({ ...now, text: { ...now.text, words } })}
    />
  </div>
{/if}
{#if fields.data && now.ways.includes('POST')}
  <div class="flex flex-col rounded-lg border border-line">
    <p class="px-3.5 pt-1.5 text-[0.87rem] text-soft">Letter on paper</p>
    <div class="mx-3.5 border-b border-line-soft py-1 font-semibold">
      <LateEditor
        value={now.paper.subject}
        fields={fields.data.merge}
        label="Subject of the letter"
        singleLine
        onchange={(subject) => onchange({ ...now, paper: { ...now.paper, subject } })}
      />
    </div>
    <div class="flex h-40 flex-col">
      <LateEditor
        value={now.paper.body}
        fields={fields.data.merge}
        label="Text of the letter"
        onchange={(text) => onchange({ ...now, paper: { ...now.paper, body: text } })}
      />
    </div>
  </div>
{/if}
{#if fields.data && now.ways.includes('APP')}
  <div class="flex flex-col rounded-lg border border-line">
    <p class="px-3.5 pt-1.5 text-[0.87rem] text-soft">Notice to the app</p>
    {#each [{ part: 'title', name: 'Title', label: 'Title of the notice' }, { part: 'words', name: 'Text', label: 'Text of the notice' }, { part: 'link', name: 'Link', label: 'Link of the notice' }] as const as line (line.part)}
      <div class="flex items-baseline gap-2 px-3.5 py-1">
        <span class="w-10 flex-none text-soft">{line.name}</span>
        <div class="min-w-0 flex-1 border-b border-line-soft">
          <LateEditor
            value={now.notice[line.part]}
            fields={fields.data.merge}
            label={line.label}
            lines={line.part === 'words'}
            singleLine={line.part !== 'words'}
            onchange={(value) => notice({ [line.part]: value })}
          />
        </div>
      </div>
    {/each}
  </div>
{/if}
{#if now.ways.includes('TEXT') || now.ways.includes('APP')}
  <ReadByPhone ways={now} />
{/if}
