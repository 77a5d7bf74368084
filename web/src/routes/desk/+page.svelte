<script lang="ts">
  import { instead } from '$lib/api/instead';
  import { UNTOLD } from '$lib/live/live';
  import { goto } from '$app/navigation';
  import { answer, api } from '$lib/api/client';
  import { daysQuery } from '$lib/api/queries';
  import DayTurns from '$lib/occasion/DayTurns.svelte';
  import { headline, wanted } from '$lib/desk/decisions';
  import DueList from '$lib/desk/DueList.svelte';
  import { isLate } from '$lib/desk/due';
  import UnderWayList from '$lib/desk/UnderWayList.svelte';
  import type { DueTask } from '$lib/api/types';
  import { dayAndTime, dayAndYear } from '$lib/format/dates';
  import { now } from '$lib/format/now';
  import { afterName } from '$lib/format/numbers';
  import JustNow from '$lib/response/JustNow.svelte';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  const query = createQuery(() => ({
    queryKey: ['desk'],
    queryFn: () => answer(api.GET('/api/desk')),
    refetchInterval: UNTOLD
  }));
  const days = createQuery(daysQuery);
  const desk = $derived(query.data);
  const day = $derived(new Intl.DateTimeFormat('en-CA', { timeZone: session.zone }).format(now()));

  /** "9 tasks · 2 late" */
  function dueAside(due: DueTask[]): string {
    const late = due.filter((t) => isLate(t.dueOn, day)).length;
    const tasks = due.length === 1 ? '1 task' : `${due.length} tasks`;
    return due.length ? tasks + (late ? ` · ${late} late` : '') : 'nothing';
  }

  const today = $derived(
    new Intl.DateTimeFormat('en-GB', {
      timeZone: session.zone,
      weekday: 'long',
      day: 'numeric',
      month: 'long'
    }).format(now())
  );
</script>

<PageHead title={today} words={desk ? headline(desk) : ''}>
  {#snippet actions()}
    <HouseButton weight="main" onclick={() => goto('/people')} shortcut="2"
      >Find people to write to</HouseButton
    >
  {/snippet}
</PageHead>
{#if instead(query)}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if desk}
  <div
    class="grid min-h-0 flex-1 grid-cols-[minmax(0,448fr)_minmax(0,449fr)_minmax(0,318fr)] grid-rows-2 gap-3 max-lg:flex-none max-lg:grid-cols-1 max-lg:grid-rows-none"
  >
    <Panel title="Wants a decision" scrolls>
      {#snippet aside()}{desk.decisions.length || 'nothing'}{/snippet}
      <ul>
        {#each desk.decisions as decision (decision.kind + decision.mailingId)}
          {@const w = wanted(decision)}
          <li
            class="flex items-baseline justify-between gap-3 border-b border-line-soft px-3.5 py-2"
          >
            <span class="min-w-0">
              <span class="block"><strong>{w.about}</strong>{afterName(w.words)}</span>
              <span class="block truncate text-[0.82rem] text-soft" title={w.detail}>
                {dayAndTime(decision.at, session.zone)}{w.detail ? ` · ${w.detail}` : ''}
              </span>
            </span>
            <a class="font-semibold whitespace-nowrap text-kelp hover:underline" href={w.path}
              >{w.act}</a
            >
          </li>
        {:else}
          <li class="px-3.5 py-3 text-soft">
            Nothing in doubt, nothing refused, nothing come back.
          </li>
        {/each}
      </ul>
    </Panel>
    <Panel title="Under way" scrolls>
      {#snippet aside()}{desk.underWay.length
          ? `the latest ${desk.underWay.length}`
          : 'nothing'}{/snippet}
      <UnderWayList list={desk.underWay} />
    </Panel>
    <JustNow class={days.data?.turns.length ? '' : 'row-span-2'} />
    <Panel title="Due today" scrolls>
      {#snippet aside()}
        <a class="hover:underline" href="/tasks">{dueAside(desk.due)}</a>
      {/snippet}
      <DueList tasks={desk.due} />
    </Panel>
    <Panel title="Drafts" scrolls>
      {#snippet aside()}{desk.drafts.length || 'none'}{/snippet}
      <ul>
        {#each desk.drafts as draft (draft.id)}
          <li>
            <a
              class="flex items-baseline justify-between gap-3 border-b border-line-soft px-3.5 py-2 hover:bg-kelp-pale"
              href={`/mailings/${draft.id}`}
            >
              <strong class="truncate" title={draft.name}>{draft.name}</strong>
              <span class="text-[0.87rem] whitespace-nowrap text-soft">
                {draft.writer} · {dayAndYear(draft.createdAt, session.zone)}
              </span>
            </a>
          </li>
        {:else}
          <li class="px-3.5 py-3 text-soft">
            No draft. A mailing begins with people: find them, and write to them.
          </li>
        {/each}
      </ul>
    </Panel>
    {#if days.data?.turns.length}
      <Panel title="Days to remember" scrolls>
        {#snippet aside()}<a class="hover:underline" href="/mailings/days">all</a>{/snippet}
        <DayTurns />
      </Panel>
    {/if}
  </div>
{/if}
