<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { SendPlan } from '$lib/api/types';
  import { count, people } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { atTime } from './start';

  interface Props {
    id: number;
    /** Changes when the audience has been looked at anew. */
    since: unknown;
    plan: SendPlan;
    editable: boolean;
    onchange: (plan: SendPlan) => void;
  }

  let { id, since, plan, editable, onchange }: Props = $props();

  /** Of fewer people nothing is said as if it were a habit. */
  const FEW = 5;
  const query = createQuery(() => ({
    queryKey: ['reading-time', id, since],
    queryFn: async ({ signal }) =>
      (await answer(
        api.GET('/api/mailings/{id}/reading-time', { params: { path: { id } }, signal })
      )) || null
  }));
  const reading = $derived(query.data);
  const time = $derived(reading?.time.slice(0, 5) ?? '');
  const used = $derived(plan.startOwn && plan.startWall?.slice(11, 16) === time);
</script>

{#if reading}
  <p class="text-[0.9rem] text-soft">
    {#if reading.people < FEW}
      Too few of them have answered to say when they read; most others read around {time}.
    {:else}
      They read most around {time} on their own clocks: {count(reading.near)} of
      {count(reading.responses)} responses by {people(reading.people)} came within two hours of it.
    {/if}
    {#if editable && !used}
      <button
        type="button"
        class="min-h-[26px] font-semibold text-kelp hover:underline"
        onclick={() =>
          onchange({
            ...plan,
            startWall: atTime(plan.startWall, time, session.zone),
            startOwn: true
          })}>Start then</button
      >
    {/if}
  </p>
{/if}
