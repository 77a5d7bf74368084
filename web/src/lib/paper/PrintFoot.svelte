<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { PrintRun } from '$lib/api/types';
  import { calendarDay, isoDay } from '$lib/format/dates';
  import { now } from '$lib/format/now';
  import { count, people } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';
  import DayField from '$lib/ui/DayField.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import Progress from '$lib/ui/Progress.svelte';
  import { sheets, takes } from './paper';

  interface Props {
    run: PrintRun;
    mayWrite: boolean;
    onact: (work: () => Promise<PrintRun>) => Promise<void>;
  }

  let { run, mayWrite, onact }: Props = $props();

  const params = $derived({ path: { id: run.id } });
  let from = $state(1);
  let to = $derived(run.sheets);
  let busy = $state(false);
  const file = $derived(`/api/print-runs/${run.id}/file`);
  const some = $derived(from > 1 || to < run.sheets);
  const sound = $derived(from >= 1 && to <= run.sheets && from <= to);

  async function act(work: () => Promise<PrintRun>) {
    busy = true;
    try {
      await onact(work);
    } catch (error) {
      notices.fail(error);
    } finally {
      busy = false;
    }
  }

  const print = () => act(() => answer(api.POST('/api/print-runs/{id}/print', { params })));
  const cancel = () => act(() => answer(api.POST('/api/print-runs/{id}/cancel', { params })));
  const post = (day: string | null) =>
    act(() => answer(api.PUT('/api/print-runs/{id}/posted', { params, body: { day } })));
  const number = 'w-16 rounded-lg border border-line bg-card px-2 py-1';
</script>

<div
  class="panel flex flex-none flex-wrap items-center gap-x-4 gap-y-2 px-3.5 py-2.5"
  role="region"
  aria-label="Printing"
>
  {#if run.state === 'DRAFT'}
    <span class="font-semibold">{takes(run)}</span>
    {#if run.trouble}<span class="text-brick" role="alert">{run.trouble}</span>{/if}
    <span class="ms-auto"></span>
    <a
      class="font-semibold text-kelp hover:underline"
      href={`/api/print-runs/${run.id}/test-page`}
      target="_blank"
      rel="noopener">Test page with outlines and rulers</a
    >
    {#if mayWrite}
      <HouseButton
        weight="main"
        shortcut="Ctrl ⏎"
        disabled={busy || run.people === 0 || run.errors.length > 0}
        onclick={print}>Make the print file</HouseButton
      >
    {/if}
  {:else if run.state === 'PRINTING'}
    <div class="min-w-48 flex-1" aria-live="polite">
      {count(run.done)} of {people(run.toPrint)} are in the file
      <Progress label="Printing" value={run.done} of={run.toPrint} />
    </div>
    {#if mayWrite}<HouseButton onclick={cancel}>Stop</HouseButton>{/if}
  {:else}
    <span>
      <strong>{people(run.toPrint)} on {sheets(run.sheets)}</strong>
      {#if run.postedOn}· posted on {calendarDay(run.postedOn)}{/if}
    </span>
    {#if mayWrite}
      {#if run.postedOn}
        <HouseButton weight="quiet" onclick={() => post(null)}>It was not posted</HouseButton>
      {:else}
        <HouseButton disabled={busy} onclick={() => post(isoDay(now(), session.zone))}
          >Posted today</HouseButton
        >
        <DayField
          label="Posted on another day"
          value={null}
          lean="BACK"
          placeholder="or on, such as 24 Nov"
          onchange={(day) => day && void post(day)}
        />
      {/if}
    {/if}
    <span class="ms-auto flex items-center gap-1.5">
      pages
      <input
        type="number"
        class={number}
        min="1"
        max={run.sheets}
        bind:value={from}
        aria-label="From page"
      />
      to
      <input
        type="number"
        class={number}
        min="1"
        max={run.sheets}
        bind:value={to}
        aria-label="To page"
      />
    </span>
    <a
      class={`rounded-lg bg-kelp px-3.5 py-1.5 font-semibold text-on-kelp hover:bg-kelp-strong ${sound ? '' : 'pointer-events-none opacity-50'}`}
      href={some ? `${file}?from=${from}&to=${to}` : file}
      aria-disabled={!sound}
      target="_blank"
      rel="noopener">Open the file to print</a
    >
  {/if}
</div>
