<script lang="ts">
  import type { GivenRight } from '$lib/api/types';
  import type { FilterField, Layout, SelectionBody } from '$lib/api/types';
  import { count } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';
  import { useQueryClient } from '@tanstack/svelte-query';
  import { act } from './bulk/doing';
  import ExportDialog from './bulk/ExportDialog.svelte';
  import ListDialog from './bulk/ListDialog.svelte';
  import OfficeDialog from './bulk/OfficeDialog.svelte';
  import SetDialog from './bulk/SetDialog.svelte';
  import TagDialog from './bulk/TagDialog.svelte';
  import TaskDialog from './bulk/TaskDialog.svelte';
  import IntoSeriesDialog from '$lib/series/IntoSeriesDialog.svelte';

  interface Props {
    picked: number;
    /** How many of those can be e-mailed; not known while they are counted. */
    canBeMailed: number | undefined;
    /** All who match, and those of them who can be e-mailed. */
    matching: number;
    ready: number;
    /** How many rows are shown so far. */
    onscreen: number;
    who: SelectionBody;
    fields: FilterField[];
    layout: Layout;
    archived: boolean;
    ontakeall: () => void;
    ontakeready: () => void;
    ontakeshown: () => void;
    onletgo: () => void;
    onwrite: () => void;
    /** Labels for those who are picked. */
    onlabels: () => void;
    /** A letter on paper to those who are picked. */
    onletter: () => void;
  }

  let {
    picked,
    canBeMailed,
    matching,
    ready,
    onscreen,
    who,
    fields,
    layout,
    archived,
    ontakeall,
    ontakeready,
    ontakeshown,
    onletgo,
    onwrite,
    onlabels,
    onletter
  }: Props = $props();

  const queries = useQueryClient();
  const changes = $derived(session.may('CHANGE_PEOPLE'));
  let dialog = $state<'tag' | 'set' | 'office' | 'list' | 'task' | 'series' | 'export' | null>(
    null
  );

  const plain = 'min-h-8 rounded-lg px-2.5 py-1 font-medium hover:bg-white/10';

  /** One of the dialogs, open or not. */
  const opens = (name: typeof dialog) => ({
    get: () => dialog === name,
    set: (open: boolean) => (dialog = open ? name : null)
  });
  const acts = $derived(
    [
      { name: 'Tag', right: 'CHANGE_PEOPLE', act: () => (dialog = 'tag') },
      { name: 'Set a field', right: 'CHANGE_PEOPLE', act: () => (dialog = 'set') },
      { name: 'Office', right: 'CHANGE_PEOPLE', act: () => (dialog = 'office') },
      { name: 'List', right: 'WORK', act: () => (dialog = 'list') },
      { name: 'Task', right: 'WORK', act: () => (dialog = 'task') },
      { name: 'Series', right: 'SERIES', act: () => (dialog = 'series') },
      { name: 'Letter', right: 'WRITE_TO_ONE', act: onletter },
      { name: 'Labels', right: 'PRINT', act: onlabels },
      { name: 'Export', right: 'EXPORT', act: () => (dialog = 'export') },
      {
        name: 'Archive',
        right: 'CHANGE_PEOPLE',
        act: () => void act(queries, who, { kind: 'ARCHIVE' }).then((ok) => ok && onletgo())
      }
    ].filter((one) => session.may(one.right as GivenRight))
  );
  const tag = opens('tag');
  const set = opens('set');
  const office = opens('office');
  const list = opens('list');
  const task = opens('task');
  const series = opens('series');
  const file = opens('export');
</script>

<div
  class="flex min-h-[50px] flex-wrap items-center gap-x-3 gap-y-1 rounded-[10px] bg-slate px-3.5 py-2 text-[#eceadf]"
  role="region"
  aria-label="Picked"
>
  {#if picked === 0}
    {#if matching === 0}
      <span>Nobody picked.</span>
    {:else}
      <span>
        Nobody picked. Tick some people, or take
        <button type="button" class="font-semibold underline" onclick={ontakeall}
          >all {count(matching)}</button
        >{#if onscreen < matching},
          <button type="button" class="font-semibold underline" onclick={ontakeshown}
            >the {count(onscreen)} on screen</button
          >{/if}{#if ready > 0 && ready < matching}, or
          <button type="button" class="font-semibold underline" onclick={ontakeready}
            >the {count(ready)} who can be e-mailed</button
          >{/if}.
      </span>
    {/if}
  {:else}
    <strong class="text-white">{count(picked)} picked</strong>
    {#if canBeMailed !== undefined && canBeMailed < picked}
      <span>{count(canBeMailed)} can be e-mailed</span>
    {/if}
    {#if picked < matching}
      <button type="button" class="hover:underline" onclick={ontakeall}
        >or take all {count(matching)}</button
      >
    {/if}
    <button type="button" class="hover:underline" onclick={onletgo}>clear</button>
    <span class="ms-auto"></span>
    {#if archived}
      {#if changes}
        <button
          type="button"
          class={plain}
          onclick={() => void act(queries, who, { kind: 'RESTORE' })}>Take back</button
        >
      {/if}
    {:else}
      {#each acts as { name, act: begin } (name)}
        <button type="button" class={plain} onclick={begin}>{name}</button>
      {/each}
      {#if !session.may('WRITE_TO_ONE')}
        <span>{session.why('WRITE_TO_ONE')}</span>
      {:else if canBeMailed !== 0}
        <button
          type="button"
          class="rounded-lg bg-[#55682a] px-3.5 py-1.5 font-semibold text-white hover:bg-[#66792f]"
          onclick={onwrite}
          >Write to {canBeMailed !== undefined && canBeMailed < picked
            ? count(canBeMailed)
            : 'them'}
          <kbd class="ms-1 rounded border border-current px-1 text-[0.7rem]" aria-hidden="true"
            >w</kbd
          ></button
        >
      {:else}
        <span>None of them can be e-mailed.</span>
      {/if}
    {/if}
  {/if}
</div>

<TagDialog bind:open={tag.get, tag.set} {who} count={picked} />
<SetDialog bind:open={set.get, set.set} {who} count={picked} {fields} />
<OfficeDialog bind:open={office.get, office.set} {who} count={picked} />
<ListDialog bind:open={list.get, list.set} {who} count={picked} />
<TaskDialog bind:open={task.get, task.set} {who} count={picked} />
<IntoSeriesDialog bind:open={series.get, series.set} {who} count={picked} />
<ExportDialog bind:open={file.get, file.set} {who} count={picked} {layout} />
