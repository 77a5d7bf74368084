<script lang="ts">
  import { fieldsQuery } from '$lib/api/queries';
  import type { AudiencePerson, WholeMailing } from '$lib/api/types';
  import { planQuestion } from '$lib/plan/planQuestion.svelte';
  import { keys } from '$lib/keys/keys.svelte';
  import { session } from '$lib/session/session.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { onMount } from 'svelte';
  import { MailingActs } from '$lib/release/acts.svelte';
  import { audienceWords } from '$lib/audience/audience';
  import AudienceDialog from '$lib/audience/AudienceDialog.svelte';
  import { Writing } from '$lib/draft/writing.svelte';
  import MailingFoot from './MailingFoot.svelte';
  import MailingHead from './MailingHead.svelte';
  import MailingTroubles from './MailingTroubles.svelte';
  import { keyOf, whichOf, type Which } from '$lib/check/checkParts';
  import type { Chosen } from '$lib/check/looking.svelte';
  import Sides, { type Side } from './Sides.svelte';
  import MessagePane from './MessagePane.svelte';
  import NodBand from '$lib/nod/NodBand.svelte';
  import OptionsDialog from './OptionsDialog.svelte';
  import { OwnWriting } from '$lib/message/own.svelte';
  import ProofPane from '$lib/message/ProofPane.svelte';
  import ReleaseDialog from '$lib/release/ReleaseDialog.svelte';
  import { folds } from '$lib/ui/folds.svelte';
  import { walk } from '$lib/check/walk.svelte';
  import WhoPane from '$lib/check/WhoPane.svelte';

  interface Props {
    mailing: WholeMailing;
  }

  let { mailing }: Props = $props();
  const queries = useQueryClient();
  // svelte-ignore state_referenced_locally
  const writing = new Writing(mailing);
  const own = new OwnWriting(writing);
  const acts = new MailingActs(writing, queries);
  const editable = $derived(writing.isDraft && session.may('WRITE_TO_ONE'));
  let open = $state<'release' | 'audience' | 'options' | null>(null);
  let side = $state<Side>('message');
  const fields = createQuery(fieldsQuery);
  // What is written for one person is put away when another is looked at.
  const going = walk(writing, (row) => {
    if (own.person && own.person.id !== row.id) void own.close();
  });
  const { asked } = going;
  const { check, proof } = asked;
  const sheet = planQuestion(() => ({
    id: mailing.id,
    plan: writing.plan,
    since: check.dataUpdatedAt,
    enabled: writing.isDraft && check.isSuccess
  }));
  const hints = $derived({
    samples: proof.data?.samples,
    lacks: check.data?.lacks,
    of: check.data?.ready
  });

  /** A narrow screen shows one side; a wide one all of them, side by side. */
  const shown = (one: Side) => (one === side ? 'contents' : 'contents max-lg:hidden');

  function choose(row: Chosen) {
    going.choose(row);
    side = 'proof';
  }

  function show(which: Which | null) {
    going.show(which);
    side = 'who';
  }

  const isOpen = (dialog: typeof open) => () => open === dialog;
  const opens = (dialog: typeof open) => (is: boolean) => (open = is ? dialog : null);

  function leaveOut(person: AudiencePerson) {
    writing.leaveOut(person.id);
    notices.say(`${person.name} is left out.`, () => writing.takeIn(person.id));
  }

  const copy = (colleague: number | null = null) =>
    asked.reader && void acts.sendCopy(asked.reader, asked.reader.name, colleague);

  function writeOwn() {
    if (!asked.reader) return;
    side = 'message';
    own
      .open(asked.reader.id, asked.reader.name, proof.data?.channel ?? 'EMAIL')
      .then(() => keys.press('b'))
      .catch((error: unknown) => notices.fail(error));
  }

  const release = (tasksDone: boolean) => acts.release(tasksDone).then(() => (open = null));

  async function openRelease() {
    if (!editable) return;
    await own.close();
    await writing.save();
    await check.refetch();
    if (writing.saving !== 'failed') open = 'release';
  }

  onMount(() =>
    keys.use({
      n: () => going.step(1),
      p: () => going.step(-1),
      a: () => editable && (open = 'audience'),
      t: () => editable && copy(),
      o: () => editable && writeOwn(),
      'Ctrl+Enter': () => void openRelease()
    })
  );
</script>

<svelte:head><title>{writing.name} · Jemble</title></svelte:head>

<MailingHead
  {writing}
  check={check.data}
  progress={asked.progress}
  chosen={keyOf(going.which)}
  {editable}
  busy={acts.busy}
  mayCopy={asked.reader !== null}
  onchoose={(key) => show(check.data ? whichOf(key, check.data) : null)}
  oncopy={copy}
  onrelease={openRelease}
  onuseagain={() => acts.useAgain()}
  onsavetemplate={(as) => acts.saveTemplate(as)}
  ondiscard={() => acts.discard()}
/>
<MailingTroubles {writing} {own} ontaketheirs={() => acts.reload()} />
{#if writing.isDraft}<NodBand {writing} ondecided={() => acts.reload()} />{/if}
<Sides {side} isDraft={writing.isDraft} onchoose={(wanted) => (side = wanted)} />
<div
  class={`grid min-h-48 flex-1 grid-rows-[minmax(0,1fr)] gap-3 max-lg:grid-cols-1 ${side === 'plan' ? 'max-lg:hidden' : ''} ${
    folds.isOpen('who', true)
      ? 'grid-cols-[minmax(0,214fr)_minmax(0,634fr)_minmax(0,372fr)]'
      : 'grid-cols-[2.5rem_minmax(0,634fr)_minmax(0,460fr)]'
  }`}
>
  <div class={shown('who')}>
    <WhoPane
      mailingId={mailing.id}
      words={audienceWords(writing.parts, writing.picks.length, writing.leftOutParts)}
      total={check.data?.total}
      look={asked.look}
      ownWords={check.data?.ownWords ?? 0}
      list={asked.list}
      which={going.which}
      current={asked.current}
      {editable}
      noted={writing.isDraft}
      severalWays={writing.ways.length > 1}
      name={going.name}
      onname={going.named}
      onchoose={choose}
      onchange={() => (open = 'audience')}
      onown={() => going.show({ ownWords: true, words: 'with own wording' })}
      onall={() => going.show(null)}
      onleaveout={leaveOut}
      ontakein={(person) => writing.takeIn(person.id)}
      onend={going.more}
    />
  </div>
  <div class={shown('message')}>
    {#if fields.data}
      <MessagePane
        {writing}
        {own}
        fields={fields.data.merge}
        {hints}
        {asked}
        {editable}
        onshow={show}
        onoptions={() => (open = 'options')}
      />
    {/if}
  </div>
  <div class={shown('proof')}>
    <ProofPane
      mailingId={writing.mailing.id}
      proof={proof.data}
      getsNothing={asked.getsNothing}
      error={proof.error}
      place={going.place}
      of={going.of}
      {editable}
      onstep={going.step}
      onmended={() => writing.refresh()}
      onown={writeOwn}
      ondropown={() => proof.data && own.drop(proof.data.personId, proof.data.toName)}
    />
  </div>
</div>
<MailingFoot
  {writing}
  sheet={sheet.data}
  looked={check.dataUpdatedAt}
  {acts}
  {editable}
  chosen={side === 'plan'}
/>
<AudienceDialog bind:open={isOpen('audience'), opens('audience')} {writing} />
<OptionsDialog bind:open={isOpen('options'), opens('options')} {writing} />
{#if check.data}
  <ReleaseDialog
    bind:open={isOpen('release'), opens('release')}
    check={check.data}
    sheet={sheet.data}
    plan={writing.plan}
    busy={acts.busy}
    aboutTasks={mailing.recordKind === 'TASK'}
    onrelease={release}
    onask={() => acts.askForNod().then(() => (open = null))}
  />
{/if}
