<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { DueTask } from '$lib/api/types';
  import { isoDay, lately } from '$lib/format/dates';
  import { now } from '$lib/format/now';
  import { onlyThese, toBody } from '$lib/list/selection';
  import { session } from '$lib/session/session.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { useQueryClient } from '@tanstack/svelte-query';
  import { dueWords, isLate } from './due';

  interface Props {
    tasks: DueTask[];
  }

  let { tasks }: Props = $props();

  const queries = useQueryClient();
  const today = $derived(isoDay(now(), session.zone));
  const everything = { match: 'ALL' as const, conditions: [], related: [], groups: [] };

  /** At once, with an undo. */
  async function setDone(task: DueTask, done: boolean) {
    try {
      const which = toBody(onlyThese([task.id]), everything);
      await answer(api.POST('/api/tasks/done', { body: { which, done } }));
      void queries.invalidateQueries();
      notices.say(
        `“${task.title}” is ${done ? 'done' : 'open again'}.`,
        () => void setDone(task, !done)
      );
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<ul>
  {#each tasks as task (task.id)}
    <li class="flex items-baseline gap-3 border-b border-line-soft px-3.5 py-2">
      <span
        class={`w-16 flex-none text-[0.93rem] ${isLate(task.dueOn, today) ? 'font-semibold text-brick' : ''}`}
        >{dueWords(task.dueOn, today)}</span
      >
      <span class="min-w-0 flex-1">
        <span class="block">
          {#if task.personId}
            <a class="font-semibold hover:underline" href={`/people/${task.personId}`}
              >{task.person}</a
            >:
          {/if}
          {task.title}
        </span>
        <span class="text-[0.82rem] text-soft">
          {[task.kind, task.lastReply && `last replied ${lately(task.lastReply, session.zone)}`]
            .filter(Boolean)
            .join(' · ')}
        </span>
        {#if task.phone}
          <a
            class="inline-block min-h-[24px] text-[0.82rem] text-soft hover:underline"
            href={`tel:${task.phone}`}>{task.phone}</a
          >
        {/if}
      </span>
      {#if session.may('WORK')}
        <button
          type="button"
          class="min-h-[24px] font-semibold text-kelp hover:underline"
          aria-label={`Done: ${task.title}`}
          onclick={() => setDone(task, true)}>Done</button
        >
      {/if}
    </li>
  {:else}
    <li class="px-3.5 py-3 text-soft">Nothing of yours is due.</li>
  {/each}
</ul>
