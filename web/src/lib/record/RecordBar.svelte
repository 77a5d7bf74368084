<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { RelatedKind, SelectionBody } from '$lib/api/types';
  import { count } from '$lib/format/numbers';
  import { onlyThese, toBody } from '$lib/list/selection';
  import { session } from '$lib/session/session.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import type { QueryClient } from '@tanstack/svelte-query';
  import BeginDialog from '$lib/mailing/BeginDialog.svelte';
  import MoveTasksDialog from './MoveTasksDialog.svelte';

  interface Props {
    kind: RelatedKind;
    many: 'quotes' | 'tasks' | 'events';
    picked: number;
    matching: number;
    which: SelectionBody;
    queries: QueryClient;
    ontakeall: () => void;
    onletgo: () => void;
    /** Whether it is being chosen what to write about them. */
    writing: boolean;
    onwrite: () => void;
    onpeople: () => void;
  }

  let {
    kind,
    many,
    picked,
    matching,
    which,
    queries,
    ontakeall,
    onletgo,
    writing = $bindable(),
    onwrite,
    onpeople
  }: Props = $props();

  const mayWrite = $derived(session.may('WRITE_TO_ONE'));
  let moving = $state(false);
  const plain = 'min-h-8 rounded-lg px-2.5 py-1 font-medium hover:bg-white/10';
  const none = { match: 'ALL' as const, conditions: [], related: [], groups: [] };

  async function setDone(those: SelectionBody, done: boolean) {
    try {
      const { tasks } = await answer(api.POST('/api/tasks/done', { body: { which: those, done } }));
      void queries.invalidateQueries();
      onletgo();
      const words = tasks.length === 1 ? '1 task is' : `${count(tasks.length)} tasks are`;
      notices.say(`${words} ${done ? 'done' : 'open again'}.`, () =>
        setDone(toBody(onlyThese(tasks), none), !done)
      );
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<div
  class="flex min-h-[50px] flex-wrap items-center gap-x-3 gap-y-1 rounded-[10px] bg-slate px-3.5 py-2 text-[#eceadf]"
  role="region"
  aria-label="Picked"
>
  {#if picked === 0}
    <span>
      {matching ? `None picked. Tick some ${many}, or` : 'None picked.'}
      {#if matching}
        <button type="button" class="font-semibold underline" onclick={ontakeall}
          >take all {count(matching)}</button
        >.
      {/if}
    </span>
  {:else}
    <strong class="text-white">{count(picked)} picked</strong>
    {#if picked < matching}
      <button type="button" class="hover:underline" onclick={ontakeall}
        >or take all {count(matching)}</button
      >
    {/if}
    <button type="button" class="hover:underline" onclick={onletgo}>clear</button>
  {/if}
  <span class="ms-auto"></span>
  {#if many === 'tasks' && picked > 0 && session.may('WORK')}
    <button type="button" class={plain} onclick={() => setDone(which, true)}>Mark done</button>
    <button type="button" class={plain} onclick={() => (moving = true)}>Move or hand over</button>
  {/if}
  <button type="button" class={plain} onclick={onpeople}>Their people</button>
  {#if mayWrite}
    <button
      type="button"
      class="rounded-lg bg-[#55682a] px-3.5 py-1.5 font-semibold text-white hover:bg-[#66792f] disabled:opacity-50"
      disabled={matching === 0}
      onclick={onwrite}
      >Write about {picked === 0 ? `all ${count(matching)}` : 'them'}
      <kbd class="ms-1 rounded border border-current px-1 text-[0.7rem]" aria-hidden="true">w</kbd
      ></button
    >
  {/if}
</div>
<BeginDialog
  bind:open={writing}
  count={picked}
  filter={null}
  picks={[]}
  leftOut={[]}
  records={{ kind, which, words: picked === 1 ? many.slice(0, -1) : many }}
/>
<MoveTasksDialog bind:open={moving} {which} {picked} {queries} />
