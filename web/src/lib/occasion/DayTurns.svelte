<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { daysQuery } from '$lib/api/queries';
  import type { OccasionTurn } from '$lib/api/types';
  import { calendarDay, dayAndYear } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { awaiting, inParts, lateWords, standsWords, yearsWords } from './occasion';
  import SeeTurn from './SeeTurn.svelte';

  const queries = useQueryClient();
  const days = createQuery(daysQuery);
  const parts = $derived(inParts(days.data?.turns ?? [], days.data?.today ?? ''));
  const waiting = $derived(awaiting(days.data?.turns ?? []));
  const mayWrite = $derived(session.may('SERIES'));
  let seen = $state<OccasionTurn | null>(null);

  const PATHS = {
    nod: '/api/occasions/turns/nod',
    notYet: '/api/occasions/turns/not-yet',
    late: '/api/occasions/turns/late',
    letGo: '/api/occasions/turns/let-go'
  } as const;

  async function act(what: keyof typeof PATHS, turns: OccasionTurn[], words: string) {
    try {
      const body = { ids: turns.map((t) => t.id) };
      const done = await answer(api.POST(PATHS[what], { body }));
      await queries.invalidateQueries({ queryKey: ['occasion-turns'] });
      const undo = what === 'nod' ? () => void act('notYet', turns, 'It waits again.') : undefined;
      notices.say(
        done.turns === turns.length ? words : 'Some had changed meanwhile; look again.',
        undo
      );
    } catch (error) {
      notices.fail(error);
    }
  }

  const people = (n: number) => (n === 1 ? 'one' : `all ${n}`);
</script>

{#snippet line(turn: OccasionTurn)}
  <li class="border-b border-line-soft px-3.5 py-2 last:border-b-0">
    <div class="flex flex-wrap items-baseline gap-x-3">
      <a class="font-semibold text-kelp underline" href={`/people/${turn.personId}`}
        >{turn.name ?? 'Without a name'}</a
      >
      <span>{turn.occasion}{yearsWords(turn) ? `, ${yearsWords(turn)}` : ''}</span>
      <span class="text-soft">{calendarDay(turn.day)}</span>
    </div>
    <div class="flex flex-wrap items-baseline gap-x-3 text-[0.87rem]">
      <span class={turn.state === 'MISSED' ? 'text-ochre' : 'text-soft'}>{standsWords(turn)}</span>
      {#if turn.ownWords}<span class="text-madder">own words</span>{/if}
      <span class="text-soft">
        {turn.lastVisit
          ? `here ${dayAndYear(turn.lastVisit, session.zone)}`
          : 'never here'}{turn.lastHeard
          ? `, wrote ${dayAndYear(turn.lastHeard, session.zone)}`
          : ''}
      </span>
      <span class="ms-auto flex flex-wrap gap-x-3">
        {#if turn.leaves !== 'TASK'}
          <HouseButton weight="quiet" onclick={() => (seen = turn)}>Read it</HouseButton>
        {/if}
        {#if mayWrite && turn.state === 'AWAITS' && turn.leaves === 'NOD'}
          <HouseButton weight="quiet" onclick={() => act('nod', [turn], 'It leaves at its hour.')}
            >Nod</HouseButton
          >
        {/if}
        {#if mayWrite && turn.state === 'MISSED'}
          {@const late = lateWords(turn)}
          <HouseButton weight="quiet" onclick={() => act('late', [turn], late.done)}
            >{late.act}</HouseButton
          >
        {/if}
        {#if mayWrite && ['AWAITS', 'NODDED', 'MISSED'].includes(turn.state)}
          <HouseButton weight="quiet" onclick={() => act('letGo', [turn], 'It is let go.')}
            >Let it go</HouseButton
          >
        {/if}
      </span>
    </div>
  </li>
{/snippet}

{#if days.error}
  <Trouble error={days.error} onretry={() => days.refetch()} />
{:else if days.data}
  {#if mayWrite && waiting.length > 0}
    <p class="flex items-center gap-3 border-b border-line-soft px-3.5 py-2">
      <span class="flex-1"
        >{waiting.length === 1 ? 'One awaits' : `${waiting.length} await`} a nod.</span
      >
      <HouseButton weight="main" onclick={() => act('nod', waiting, 'They leave at their hour.')}
        >Nod {people(waiting.length)}</HouseButton
      >
    </p>
  {/if}
  {#each [['Missed', parts.missed], ['Today', parts.today], ['This week', parts.later]] as const as [title, turns] (title)}
    {#if turns.length > 0}
      <h3 class="px-3.5 pt-2 text-[0.87rem] font-semibold text-soft">{title}</h3>
      <ul aria-label={title}>
        {#each turns as turn (turn.id)}{@render line(turn)}{/each}
      </ul>
    {/if}
  {/each}
  {#if days.data.turns.length === 0}
    <p class="px-3.5 py-3 text-soft">No day comes round this week.</p>
  {/if}
{/if}
{#if seen}
  {#key seen.id}
    <SeeTurn turn={seen} {mayWrite} onclose={() => (seen = null)} />
  {/key}
{/if}
