<script lang="ts">
  import { instead } from '$lib/api/instead';
  import { page } from '$app/state';
  import { answer, api } from '$lib/api/client';
  import { fieldsQuery } from '$lib/api/queries';
  import type { ImportChoices } from '$lib/api/types';
  import ImportRules from '$lib/exchange/ImportRules.svelte';
  import MappingTable from '$lib/exchange/MappingTable.svelte';
  import PreviewTable from '$lib/exchange/PreviewTable.svelte';
  import { formWords, importQuery, isMoving } from '$lib/exchange/steps';
  import { count } from '$lib/format/numbers';
  import { undo } from '$lib/people/bulk/doing';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import Progress from '$lib/ui/Progress.svelte';
  import Tally, { type TallyPart } from '$lib/ui/Tally.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery, keepPreviousData, useQueryClient } from '@tanstack/svelte-query';

  const id = $derived(Number(page.params.id));
  /** The rows of the preview that are shown: of one outcome, or of all. */
  let outcome = $state<string | null>(null);
  const queries = useQueryClient();
  const query = createQuery(() => ({
    ...importQuery(id, outcome),
    placeholderData: keepPreviousData
  }));
  const fields = createQuery(fieldsQuery);
  const run = $derived(query.data);
  let changed = $state.raw<ImportChoices | null>(null);
  const choices = $derived(changed ?? run?.choices);
  const moving = $derived(isMoving(run) && !run?.stopped);
  const judged = $derived(run?.state === 'checked' || run?.state === 'done');
  const sound = $derived((run?.counts.new ?? 0) + (run?.counts.changed ?? 0));

  const parts = $derived<TallyPart[]>([
    { key: 'new', count: run?.counts.new ?? 0, words: 'new', tone: 'good' },
    { key: 'changed', count: run?.counts.changed ?? 0, words: 'changed', tone: 'look' },
    { key: 'same', count: run?.counts.same ?? 0, words: 'already so', tone: 'open' },
    { key: 'bad', count: run?.counts.bad ?? 0, words: 'cannot be taken', tone: 'bad' }
  ]);

  async function step(work: () => Promise<unknown>) {
    try {
      await work();
      await queries.invalidateQueries();
    } catch (error) {
      notices.fail(error);
    }
  }

  const check = () =>
    step(async () => {
      if (!choices) return;
      await answer(api.PUT('/api/imports/{id}', { params: { path: { id } }, body: choices }));
      changed = null;
    });

  const takeIn = () =>
    step(() => answer(api.POST('/api/imports/{id}/run', { params: { path: { id } } })));
</script>

{#if instead(query)}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if run && choices}
  <PageHead title={run.fileName} words={`${count(run.rows)} rows · ${formWords(run)}`}>
    {#snippet actions()}
      {#if run.state === 'done'}
        {#if run.act && !run.undone}
          <HouseButton onclick={() => run.act && void undo(queries, run.act)}
            >Take the import back</HouseButton
          >
        {/if}
        <HouseButton weight="main" onclick={() => (location.href = '/people')}
          >To the people</HouseButton
        >
      {:else if run.state === 'checked' && !changed}
        <HouseButton onclick={check}>Check again</HouseButton>
        <HouseButton weight="main" onclick={takeIn} disabled={sound === 0}
          >Take {count(sound)} in</HouseButton
        >
      {:else}
        <HouseButton weight="main" onclick={check} disabled={moving}
          >Check without changing anything</HouseButton
        >
      {/if}
    {/snippet}
  </PageHead>
  {#if moving}
    <div class="panel px-3.5 py-2.5" role="status">
      {run.state === 'checking' ? 'Checked' : 'Taken in'}
      {count(run.doneRows)} of {count(run.rows)} rows
      <Progress label="Rows" value={run.doneRows} of={run.rows} />
    </div>
  {:else if run.state === 'failed'}
    <p class="panel bg-brick-pale px-3.5 py-2.5" role="alert">{run.trouble}</p>
  {:else if run.stopped}
    <p class="panel bg-ochre-pale px-3.5 py-2.5">It stands still; check it again.</p>
  {:else if run.state === 'done'}
    <p class="panel px-3.5 py-2.5">
      {run.undone
        ? 'Taken back: everything is as it was before.'
        : `Done: ${count(run.counts.new ?? 0)} new, ${count(run.counts.changed ?? 0)} changed.`}
    </p>
  {/if}
  {#if judged && !changed}
    <Tally
      label="Rows, by what becomes of them"
      {parts}
      chosen={outcome}
      onchoose={(key) => (outcome = key === outcome ? null : key)}
    />
    {#if run.counts.bad}
      <p>
        <a class="font-semibold text-kelp underline" href={`/api/imports/${id}/bad.csv`}
          >Save {run.counts.bad === 1
            ? 'the row that cannot be taken, with its reason'
            : `the ${count(run.counts.bad)} rows that cannot be taken, with their reasons`}</a
        >, mend what is wrong, and import that file.
      </p>
    {/if}
    <Panel title="As it will be" class="flex-none">
      <PreviewTable state={run} fields={fields.data?.filter ?? []} />
    </Panel>
  {/if}
  {#if run.state !== 'done' && !moving}
    <div class="grid grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)] gap-3.5 max-lg:grid-cols-1">
      <Panel title="Which column is which field">
        <MappingTable
          columns={run.columns}
          {choices}
          fields={fields.data?.filter ?? []}
          onchange={(c) => (changed = c)}
        />
      </Panel>
      <Panel title="How it is taken in">
        <ImportRules {choices} onchange={(c) => (changed = c)} />
      </Panel>
    </div>
  {/if}
{:else}
  <p class="text-soft">Looking…</p>
{/if}
