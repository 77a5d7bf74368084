<script lang="ts">
  import { letterheadsQuery } from '$lib/api/queries';
  import type { CheckResult, MergeFieldName } from '$lib/api/types';
  import type { Hints } from '$lib/editor/picking';
  import TextEditor from '$lib/editor/TextEditor.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import type { Writing } from '$lib/draft/writing.svelte';
  import FilesLine from '$lib/message/FilesLine.svelte';
  import FindingList from '$lib/check/FindingList.svelte';
  import type { Which } from '$lib/check/checkParts';
  import OwnBand from '$lib/message/OwnBand.svelte';
  import type { OwnWriting } from '$lib/message/own.svelte';
  import { countingWords, voiceWords } from '$lib/draft/sending';
  import TemplateMenu from './TemplateMenu.svelte';

  interface Props {
    writing: Writing;
    own: OwnWriting;
    fields: MergeFieldName[];
    hints: Hints;
    check: CheckResult | undefined;
    editable: boolean;
    onshow: (which: Which) => void;
    onoptions: () => void;
    onsavetemplate: (name: string | null) => void;
  }

  let { writing, own, fields, hints, check, editable, onshow, onoptions, onsavetemplate }: Props =
    $props();
  let body = $state<TextEditor>();

  const letterheads = createQuery(letterheadsQuery);
  const paper = $derived(
    writing.letterheadId === null
      ? 'without a letterhead'
      : `on “${letterheads.data?.find((l) => l.id === writing.letterheadId)?.name ?? '…'}”`
  );

  /** The words on the mailing's screen: everybody's, or one person's alone. */
  const words = $derived(own.person ? own : writing);
  const saved = $derived(
    {
      saved: editable ? 'saved' : 'released',
      changed: 'not saved yet',
      saving: 'saving…',
      failed: 'not saved'
    }[words.saving]
  );
</script>

<Panel title="Message">
  {#snippet aside()}
    <span class="flex items-center justify-end gap-1.5">
      <span>
        {#if writing.mailing.followsId}
          in the thread of
          <a class="text-kelp underline" href={`/responses/${writing.mailing.followsId}`}
            >“{writing.mailing.followsName}”</a
          > ·
        {:else if writing.mailing.templateName}
          from template “{writing.mailing.templateName}” ·
        {/if}
        <span data-saved>{saved}</span>
      </span>
      {#if editable && !own.person}<TemplateMenu {writing} onsave={onsavetemplate} />{/if}
    </span>
  {/snippet}
  <div class="flex h-full min-h-80 flex-col">
    {#if own.person}<OwnBand {own} />{/if}
    <div class="flex items-baseline gap-2 border-b border-line px-3.5 py-1.5">
      <span class="text-soft">Subject</span>
      <div class="min-w-0 flex-1 font-semibold">
        <TextEditor
          value={words.subject}
          {fields}
          {hints}
          label="Subject"
          singleLine
          readonly={!editable}
          onchange={(subject) => {
            words.subject = subject;
            words.changed();
          }}
          onenter={() => body?.focus()}
        />
      </div>
    </div>
    <TextEditor
      bind:this={body}
      value={words.body}
      {fields}
      {hints}
      label="Message"
      readonly={!editable}
      onchange={(text) => {
        words.body = text;
        words.changed();
      }}
    />
    {#if check && editable && !own.person}<FindingList {writing} {check} {onshow} />{/if}
    <div
      class="flex flex-wrap gap-x-4 gap-y-0.5 border-t border-line px-3.5 py-1.5 text-[0.87rem] text-soft"
    >
      <FilesLine {writing} {editable} />
      <button
        type="button"
        class="min-h-[24px] text-left enabled:hover:underline"
        disabled={!editable}
        onclick={onoptions}>{countingWords(writing)} · {voiceWords(writing)} · {paper}</button
      >
    </div>
  </div>
</Panel>
