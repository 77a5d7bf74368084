<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { instead } from '$lib/api/instead';
  import type { LabelFinding, PrintRun, Reach, SheetLabel } from '$lib/api/types';
  import { isoDay } from '$lib/format/dates';
  import { now } from '$lib/format/now';
  import { keys } from '$lib/keys/keys.svelte';
  import { session } from '$lib/session/session.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import Tally, { type TallyPart } from '$lib/ui/Tally.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { onMount } from 'svelte';
  import DesignForm from './DesignForm.svelte';
  import FindingList from './FindingList.svelte';
  import LabelPane from './LabelPane.svelte';
  import PrintFoot from './PrintFoot.svelte';
  import ReasonPeople from './ReasonPeople.svelte';
  import { useRun } from './run.svelte';
  import RunHead from './RunHead.svelte';
  import SheetPicture from './SheetPicture.svelte';

  interface Props {
    id: number;
  }

  let { id }: Props = $props();

  const run = useRun(() => id);
  const data = $derived(run.query.data);
  const page = $derived(run.pages.data);
  const mayWrite = $derived(session.may('PRINT'));
  const editable = $derived(mayWrite && data?.state === 'DRAFT');
  let chosen = $state<{ personId: number | null } | null>(null);
  /** Why those who are listed get no label. */
  let reason = $state<Reach | null>(null);
  const why = $derived(data?.tally.find((part) => part.reason === reason) ?? null);
  const label = $derived(
    page?.labels.find((l) => chosen && l.personId === chosen.personId) ?? null
  );
  const parts = $derived(
    (data?.tally ?? []).map((part): TallyPart => ({
      key: part.reason,
      count: part.people,
      words: part.words,
      tone: part.reason === 'READY' ? 'good' : part.reason === 'NO_ADDRESS' ? 'look' : 'off'
    }))
  );

  function choose(one: SheetLabel) {
    chosen = { personId: one.personId };
    reason = null;
  }

  function look(finding: LabelFinding) {
    run.turn(finding.page);
    chosen = { personId: finding.personId };
  }

  function choosePart(key: string) {
    reason = key === 'READY' || key === reason ? null : (key as Reach);
  }

  const leaveOut = (personId: number) =>
    run.change({ leftOut: [...(run.body?.leftOut ?? []), personId] });
  const putBack = (personId: number) =>
    run.change({ leftOut: (run.body?.leftOut ?? []).filter((one) => one !== personId) });

  async function say(words: string | null) {
    if (!label || label.personId === null) return;
    const params = { path: { id, personId: label.personId } };
    try {
      await run.act(() =>
        answer(api.PUT('/api/print-runs/{id}/labels/{personId}', { params, body: { words } }))
      );
    } catch (error) {
      notices.fail(error);
    }
  }

  async function returned(personId: number, back: boolean) {
    const params = { path: { id, personId } };
    const body = { day: back ? isoDay(now(), session.zone) : null };
    try {
      await run.act(() =>
        answer(api.PUT('/api/print-runs/{id}/returned/{personId}', { params, body }))
      );
    } catch (error) {
      notices.fail(error);
    }
  }

  const print = () =>
    run.act(() => answer(api.POST('/api/print-runs/{id}/print', { params: { path: { id } } })));

  onMount(() =>
    keys.use({
      n: () => run.turn(run.page + 1),
      p: () => run.turn(run.page - 1),
      'Ctrl+Enter': () => {
        if (editable) void print().catch((error: unknown) => notices.fail(error));
      }
    })
  );
</script>

{#if instead(run.query)}
  <Trouble error={run.query.error} onretry={() => run.query.refetch()} />
{:else if data && run.body}
  <RunHead {run} {data} {editable} />
  {#if data.state === 'DRAFT' && parts.length}
    <Tally
      label="Who gets a label, and who does not"
      {parts}
      chosen={reason}
      onchoose={choosePart}
    />
  {/if}
  <div class="grid min-h-0 flex-1 grid-cols-[310px_minmax(0,1fr)_290px] gap-3.5 max-lg:grid-cols-1">
    <!-- What scrolls must be reachable by key. -->
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div
      class="panel min-h-0 overflow-y-auto p-3.5"
      tabindex="0"
      role="region"
      aria-label="What and how"
    >
      <DesignForm
        body={run.body}
        {editable}
        errors={data.errors}
        onchange={(change) => run.change(change)}
      />
    </div>
    <div class="flex min-h-[26rem] min-w-0 flex-col gap-2">
      <div class="flex items-center justify-center gap-3 text-soft">
        <button
          type="button"
          class="min-h-6 px-2 font-semibold text-kelp disabled:text-soft"
          disabled={run.page === 0}
          onclick={() => run.turn(run.page - 1)}>‹ Page before</button
        >
        <span aria-live="polite">Page {run.page + 1} of {Math.max(1, page?.pages ?? 1)}</span>
        <button
          type="button"
          class="min-h-6 px-2 font-semibold text-kelp disabled:text-soft"
          disabled={run.page + 1 >= (page?.pages ?? 1)}
          onclick={() => run.turn(run.page + 1)}>Next page ›</button
        >
      </div>
      <div class="min-h-0 flex-1">
        {#if page}
          <SheetPicture
            sheet={run.body.design.sheet}
            serif={run.body.design.face === 'SERIF'}
            {page}
            across={run.body.offsetAcross}
            down={run.body.offsetDown}
            chosen={label?.place ?? null}
            onchoose={choose}
            onbegin={editable ? (start) => run.change({ start }) : undefined}
          />
        {/if}
      </div>
    </div>
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div
      class="panel flex min-h-0 flex-col gap-4 overflow-y-auto p-3.5"
      tabindex="0"
      role="region"
      aria-label="Labels to look at"
    >
      {#if why}
        <ReasonPeople
          run={data}
          reason={why.reason}
          words={why.words}
          {editable}
          onputback={putBack}
          onclose={() => (reason = null)}
        />
      {:else if label}
        {#key `${label.personId} ${label.words} ${label.returnedOn}`}
          <LabelPane
            {label}
            {editable}
            onwords={say}
            onleaveout={leaveOut}
            onreturned={data.postedOn ? returned : undefined}
          />
        {/key}
      {:else if data.state === 'DRAFT'}
        <p class="text-soft">
          Press a label to change it for this run. Press the number in its corner to begin there.
        </p>
      {/if}
      {#if data.state === 'DRAFT' && !why}<FindingList run={data} onlook={look} />{/if}
    </div>
  </div>
  <PrintFoot run={data} {mayWrite} onact={(work: () => Promise<PrintRun>) => run.act(work)} />
{/if}
