<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { calendarDay, dayAndTime, zoneCity } from '$lib/format/dates';
  import { happening } from '$lib/response/kinds';
  import { session } from '$lib/session/session.svelte';
  import Act from '$lib/ui/Act.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  interface Props {
    id: number;
    onwrite: (id: number) => void;
  }

  let { id, onwrite }: Props = $props();

  const query = createQuery(() => ({
    queryKey: ['person', id],
    queryFn: ({ signal }) =>
      answer(api.GET('/api/people/{id}', { params: { path: { id } }, signal })),
    refetchInterval: 5000
  }));
  const person = $derived(query.data);
  const mayWrite = $derived(session.colleague?.mayWrite ?? false);
</script>

<div class="p-4">
  {#if query.error}
    <Trouble error={query.error} onretry={() => query.refetch()} />
  {:else if person}
    <h2 class="text-[1.25rem] break-words">{person.name}</h2>
    <p class="text-soft">
      {person.plan ? `${person.plan} member` : person.kind}
      {#if person.joinedOn}since {calendarDay(person.joinedOn)}{/if}
      {#if person.organisation}· {person.organisation}{/if}
    </p>
    <div class="my-3 flex items-center gap-3">
      {#if person.reach === 'READY' && mayWrite}
        <Act look="main" onclick={() => onwrite(person.id)}>Write</Act>
      {:else if !mayWrite}
        <p class="text-[0.93rem] text-soft">Readers do not write. Ask an administrator.</p>
      {:else}
        <p class="text-[0.93rem] text-brick">Cannot be e-mailed: {person.reachWords}.</p>
      {/if}
    </div>
    <ul class="flex flex-col gap-1 text-[0.93rem]">
      {#if person.email}
        <li class="break-all">
          {person.email}
          {#if person.reach === 'READY'}<span>· <strong>reachable</strong></span>{/if}
        </li>
      {/if}
      <li>
        {[person.phone ?? 'no phone', person.timeZone && `${zoneCity(person.timeZone)} time`]
          .filter(Boolean)
          .join(' · ')}
      </li>
      {#if person.place}<li>{person.place}</li>{/if}
      {#if person.tags.length}<li class="text-soft">{person.tags.join(' · ')}</li>{/if}
    </ul>
    <h3 class="mt-4 mb-2 text-[1rem]">Between us</h3>
    {#if person.between.length}
      <ol class="border-s-2 border-line ps-3">
        {#each person.between as step, i (i)}
          {@const told = happening(step.kind)}
          <li class="mb-3 text-[0.93rem]">
            <strong>{told.word}</strong>
            {told.after}“{step.mailing}”
            <span class="block text-soft">
              {dayAndTime(step.at, session.zone)}
              {#if step.kind === 'SENT'}
                · <a class="text-kelp underline" href={`/api/messages/${step.messageId}/eml`}
                  >as it left (.eml)</a
                >
              {:else if step.detail}
                · {step.detail}
              {/if}
            </span>
          </li>
        {/each}
      </ol>
    {:else}
      <p class="text-[0.93rem] text-soft">Nothing has passed between us yet.</p>
    {/if}
  {:else}
    <p class="text-soft">Looking…</p>
  {/if}
</div>
