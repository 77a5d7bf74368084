<script lang="ts">
  import { letterheadsQuery } from '$lib/api/queries';
  import type { MergeFieldName } from '$lib/api/types';
  import type { Hints } from '$lib/editor/picking';
  import LateEditor from '$lib/editor/LateEditor.svelte';
  import { keys } from '$lib/keys/keys.svelte';
  import { onMount } from 'svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import type { Writing } from '$lib/draft/writing.svelte';
  import FilesLine from '$lib/message/FilesLine.svelte';
  import FindingList from '$lib/check/FindingList.svelte';
  import PagesLine from '$lib/check/PagesLine.svelte';
  import type { MailingQuestions } from '$lib/check/questions.svelte';
  import type { Which } from '$lib/check/checkParts';
  import NoticePart from '$lib/ways/NoticePart.svelte';
  import PaperPart from '$lib/ways/PaperPart.svelte';
  import TextPart from '$lib/ways/TextPart.svelte';
  import WaysLine from '$lib/ways/WaysLine.svelte';
  import OwnBand from '$lib/message/OwnBand.svelte';
  import type { OwnWriting } from '$lib/message/own.svelte';
  import { countingWords, voiceWords } from '$lib/draft/sending';

  interface Props {
    writing: Writing;
    own: OwnWriting;
    fields: MergeFieldName[];
    hints: Hints;
    asked: MailingQuestions;
    editable: boolean;
    onshow: (which: Which) => void;
    onoptions: () => void;
  }

  let { writing, own, fields, hints, asked, editable, onshow, onoptions }: Props = $props();
  const check = $derived(asked.check.data);
  const proof = $derived(asked.proof.data);
  let subject = $state<LateEditor>();
  let body = $state<LateEditor>();

  /** Somebody's own words are those of the way that reaches them. */
  const ways = $derived(own.person ? [own.channel] : writing.ways);
  const byMail = $derived(ways.includes('EMAIL'));
  const byText = $derived(ways.includes('TEXT'));
  const byApp = $derived(ways.includes('APP'));
  const byPost = $derived(ways.includes('POST'));
  const text = $derived(own.person ? { ...writing.text, words: own.body } : writing.text);
  const notice = $derived(
    own.person ? { ...writing.notice, title: own.subject, words: own.body } : writing.notice
  );

  const paperWords = $derived(
    own.person ? { ...writing.paper, subject: own.subject, body: own.body } : writing.paper
  );

  function writePaper(change: Partial<Writing['paper']>) {
    if (own.person) own.write(change);
    else writing.set('paper', { ...writing.paper, ...change });
  }

  function writeText(change: Partial<Writing['text']>) {
    if (own.person) own.write({ body: change.words });
    else writing.set('text', { ...writing.text, ...change });
  }

  function writeNotice(change: Partial<Writing['notice']>) {
    if (own.person) own.write({ subject: change.title, body: change.words });
    else writing.set('notice', { ...writing.notice, ...change });
  }

  const letterheads = createQuery(letterheadsQuery);
  const paper = $derived(
    writing.letterheadId === null
      ? 'without a letterhead'
      : `on “${letterheads.data?.find((l) => l.id === writing.letterheadId)?.name ?? '…'}”`
  );

  /** What lies on paper tells nothing of itself. */
  const counted = $derived(byMail || byText || byApp ? `${countingWords(writing)} · ` : '');
  const options = $derived(`${counted}${voiceWords(writing)} · ${paper}`);

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

  onMount(() => keys.use({ s: () => subject?.focus(), b: () => body?.focus() }));
</script>

<section
  class="panel flex min-h-0 min-w-0 flex-col overflow-x-hidden overflow-y-auto"
  aria-label="Message"
>
  {#if own.person}<OwnBand {own} />{:else}<WaysLine {writing} {check} {editable} />{/if}
  {#if byMail}
    <div class="flex items-baseline gap-2 border-b border-line px-3.5 py-1.5">
      <span class="text-soft">Subject</span>
      <div class="min-w-0 flex-1 font-semibold">
        <LateEditor
          bind:this={subject}
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
      <span class="flex-none text-[0.85rem] text-soft" data-saved>{saved}</span>
    </div>
    <div class="flex min-h-32 flex-1 flex-col max-lg:min-h-72">
      <LateEditor
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
    </div>
  {/if}
  {#if byText}
    <TextPart
      {text}
      onwrite={writeText}
      own={own.person !== null}
      {fields}
      {hints}
      {check}
      {proof}
      {editable}
      alone={!byMail}
      {saved}
    />
  {/if}
  {#if byApp}
    <NoticePart
      {notice}
      onwrite={writeNotice}
      own={own.person !== null}
      {fields}
      {hints}
      {proof}
      {editable}
      alone={!byMail && !byText}
      {saved}
    />
  {/if}
  {#if byPost}
    <PaperPart
      paper={paperWords}
      onwrite={writePaper}
      own={own.person !== null}
      {fields}
      {hints}
      {editable}
      alone={!byMail && !byText && !byApp}
      {saved}
    />
    {#if !own.person}<PagesLine pages={asked.pages} />{/if}
  {/if}
  {#if check && editable && !own.person}<FindingList {writing} {check} {onshow} />{/if}
  <div
    class="@container flex min-h-[33px] flex-none items-center gap-x-4 border-t border-line px-3.5 text-[0.87rem] whitespace-nowrap text-soft max-lg:flex-wrap"
  >
    <FilesLine {writing} {editable} />
    <button
      type="button"
      class="min-h-[24px] min-w-0 truncate text-left enabled:hover:underline"
      title={options}
      disabled={!editable}
      onclick={onoptions}>{options}</button
    >
    {#if writing.mailing.followsId}
      <span class="min-w-0 truncate"
        >in the thread of
        <a
          class="text-kelp underline"
          title={writing.mailing.followsName}
          href={`/responses/${writing.mailing.followsId}`}>“{writing.mailing.followsName}”</a
        ></span
      >
    {:else if writing.mailing.templateName}
      <span
        class="min-w-0 flex-1 truncate text-right @max-3xl:hidden"
        title={writing.mailing.templateName}>from template “{writing.mailing.templateName}”</span
      >
    {/if}
  </div>
</section>
