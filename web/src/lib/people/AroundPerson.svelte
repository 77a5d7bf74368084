<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { Person } from '$lib/api/types';
  import { calendarDay, dayAndTime } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import { moneyWords } from '$lib/list/cell';
  import { onlyThese, toBody } from '$lib/list/selection';
  import Panel from '$lib/ui/Panel.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { useQueryClient } from '@tanstack/svelte-query';
  import ConsentPanel from './ConsentPanel.svelte';
  import AppPanel from './AppPanel.svelte';
  import AgreedPanel from '$lib/signup/AgreedPanel.svelte';
  import OfficePanel from './OfficePanel.svelte';

  interface Props {
    person: Person;
    mayChange: boolean;
    ontask: () => void;
  }

  let { person, mayChange, ontask }: Props = $props();

  const queries = useQueryClient();
  const none = { match: 'ALL' as const, conditions: [], related: [], groups: [] };

  async function setDone(id: number, done: boolean) {
    try {
      const which = toBody(onlyThese([id]), none);
      await answer(api.POST('/api/tasks/done', { body: { which, done } }));
      void queries.invalidateQueries();
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<Panel title="Tasks">
  {#snippet aside()}
    {#if mayChange}
      <button type="button" class="min-h-6 font-semibold text-kelp hover:underline" onclick={ontask}
        >Add a task</button
      >
    {/if}
  {/snippet}
  <ul class="px-3.5 py-2">
    {#each person.tasks as task (task.id)}
      <li class="flex items-baseline gap-2 py-1">
        <input
          type="checkbox"
          class="translate-y-0.5 rounded-[3px] border-soft text-kelp"
          aria-label={`${task.title} is done`}
          checked={task.done}
          disabled={!mayChange}
          onchange={() => setDone(task.id, !task.done)}
        />
        <span class={task.done ? 'text-soft line-through' : ''}>
          <span class="font-semibold">{task.title}</span>
          <span class="text-[0.87rem] text-soft">
            {[task.kind, task.dueOn && `due ${calendarDay(task.dueOn)}`, task.owner]
              .filter(Boolean)
              .join(' · ')}
          </span>
        </span>
      </li>
    {:else}
      <li class="py-1 text-soft">Nothing to do.</li>
    {/each}
  </ul>
</Panel>
{#if person.quotes.length}
  <Panel title="Quotes">
    <ul class="px-3.5 py-2">
      {#each person.quotes as quote (quote.id)}
        <li class="py-1">
          <span class="font-semibold">{quote.number}</span>
          {quote.title}, {moneyWords(quote.total)}
          <span class="block text-[0.87rem] text-soft"
            >{quote.stage}{quote.sentOn ? `, sent ${calendarDay(quote.sentOn)}` : ''}</span
          >
        </li>
      {/each}
    </ul>
  </Panel>
{/if}
{#if person.events.length}
  <Panel title="Events">
    <ul class="px-3.5 py-2">
      {#each person.events as event (event.id)}
        <li class="py-1">
          <span class="font-semibold">{event.name}</span>
          <span class="text-[0.87rem] text-soft"
            >{dayAndTime(event.starts, session.zone)} · {event.attendance}</span
          >
        </li>
      {/each}
    </ul>
  </Panel>
{/if}
<ConsentPanel personId={person.id} mayChange={mayChange && !person.archivedAt} />
{#if mayChange && !person.archivedAt}<AppPanel personId={person.id} />{/if}
<AgreedPanel personId={person.id} />
<OfficePanel {person} {mayChange} />
