<script lang="ts">
  import type { Look, MergeFieldName } from '$lib/api/types';
  import TextEditor from '$lib/template/TextEditor.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import type { BenchState } from './bench.svelte';
  import FindingList from './FindingList.svelte';
  import type { Which } from './lookParts';

  interface Props {
    bench: BenchState;
    fields: MergeFieldName[];
    look: Look | undefined;
    editable: boolean;
    onshow: (which: Which) => void;
  }

  let { bench, fields, look, editable, onshow }: Props = $props();
  let body = $state<TextEditor>();

  const saved = $derived(
    {
      saved: editable ? 'saved' : 'released',
      changed: 'not saved yet',
      saving: 'saving…',
      failed: 'not saved'
    }[bench.saving]
  );
</script>

<Panel title="Message">
  {#snippet aside()}
    {#if bench.mailing.followsId}
      in the thread of
      <a class="text-kelp underline" href={`/responses/${bench.mailing.followsId}`}
        >“{bench.mailing.followsName}”</a
      > ·
    {:else if bench.mailing.templateName}
      from template “{bench.mailing.templateName}” ·
    {/if}
    {saved}
  {/snippet}
  <div class="flex h-full min-h-80 flex-col">
    <div class="flex items-baseline gap-2 border-b border-line px-3.5 py-1.5">
      <span class="text-soft">Subject</span>
      <div class="min-w-0 flex-1 font-semibold">
        <TextEditor
          value={bench.subject}
          {fields}
          label="Subject"
          singleLine
          readonly={!editable}
          onchange={(subject) => {
            bench.subject = subject;
            bench.changed();
          }}
          onenter={() => body?.focus()}
        />
      </div>
    </div>
    <TextEditor
      bind:this={body}
      value={bench.body}
      {fields}
      label="Message"
      readonly={!editable}
      onchange={(text) => {
        bench.body = text;
        bench.changed();
      }}
    />
    {#if look && editable}<FindingList {look} {onshow} />{/if}
  </div>
</Panel>
