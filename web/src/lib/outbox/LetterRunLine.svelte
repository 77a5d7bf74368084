<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { LetterRun } from '$lib/api/types';
  import { isoDay } from '$lib/format/dates';
  import { now } from '$lib/format/now';
  import { count } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';
  import DayField from '$lib/ui/DayField.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Progress from '$lib/ui/Progress.svelte';
  import EachFile from './EachFile.svelte';
  import { printedWords } from './printed';
  import { manyLetters } from '$lib/format/paper';

  interface Props {
    run: LetterRun;
    mayWrite: boolean;
    busy: boolean;
    onact: (work: () => Promise<unknown>, said?: string) => Promise<void>;
  }

  let { run, mayWrite, busy, onact }: Props = $props();
  const params = $derived({ path: { id: run.id } });
  const file = $derived(`/api/letter-runs/${run.id}/file`);
  let from = $state(1);
  let to = $derived(run.pages);
  const piece = $derived(run.ofDocument ? 'letter' : 'page');
  const some = $derived(from > 1 || to < run.pages);

  const drop = () =>
    onact(
      () => answer(api.DELETE('/api/letter-runs/{id}', { params })),
      'Its letters are to be printed again.'
    );
  const post = (day: string) =>
    onact(
      () => answer(api.PUT('/api/letter-runs/{id}/posted', { params, body: { day } })),
      `${manyLetters(run.letters)} posted.`
    );
  const number = 'w-16 rounded-lg border border-line bg-card px-2 py-0.5';
</script>

<div class="flex flex-wrap items-center gap-x-4 gap-y-2 border-t border-line-soft pt-2">
  {#if run.trouble}
    <span class="text-brick" role="alert">{run.trouble}</span>
  {:else if run.state === 'PRINTING'}
    <div class="min-w-48 flex-1" aria-live="polite">
      {count(run.done)} of {manyLetters(run.letters)} are in the file
      <Progress label="Printing" value={run.done} of={run.letters} />
    </div>
    {#if mayWrite}<HouseButton onclick={drop}>Stop</HouseButton>{/if}
  {:else}
    <span>{printedWords(run)}, not posted yet</span>
    <span class="flex items-center gap-1.5">
      <input
        type="number"
        class={number}
        min="1"
        max={run.pages}
        bind:value={from}
        aria-label={`From ${piece}`}
      />
      to
      <input
        type="number"
        class={number}
        min="1"
        max={run.pages}
        bind:value={to}
        aria-label={`To ${piece}`}
      />
      <a
        class="font-semibold text-kelp hover:underline"
        href={some ? `${file}?from=${from}&to=${to}` : file}
        target="_blank"
        rel="noopener">{run.ofDocument ? 'Download these letters' : 'Open these pages'}</a
      >
    </span>
    <EachFile runId={run.id} />
    {#if mayWrite}
      <button
        type="button"
        class="text-kelp hover:underline"
        title="The file is given up, and its letters wait to be printed"
        onclick={drop}>Give the file up</button
      >
      <span class="ms-auto flex flex-wrap items-center gap-2">
        <HouseButton weight="main" disabled={busy} onclick={() => post(isoDay(now(), session.zone))}
          >Posted today</HouseButton
        >
        <DayField
          label="Posted on another day"
          value={null}
          lean="BACK"
          placeholder="or on, such as 24 Nov"
          onchange={(day) => day && void post(day)}
        />
      </span>
    {/if}
  {/if}
</div>
