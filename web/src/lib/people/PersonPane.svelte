<script lang="ts">
  import { instead } from '$lib/api/instead';
  import { UNTOLD } from '$lib/live/live';
  import { answer, api } from '$lib/api/client';
  import { zoneCity } from '$lib/format/dates';
  import { cellWords } from '$lib/list/cell';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import BetweenUs from './BetweenUs.svelte';
  import { personQuery, valueOf } from './person';

  interface Props {
    id: number;
    onwrite: (id: number) => void;
  }

  let { id, onwrite }: Props = $props();

  const query = createQuery(() => ({ ...personQuery(id), refetchInterval: UNTOLD }));
  const between = createQuery(() => ({
    queryKey: ['between', id],
    queryFn: ({ signal }) =>
      answer(api.GET('/api/people/{id}/between', { params: { path: { id } }, signal })),
    refetchInterval: UNTOLD
  }));
  const person = $derived(query.data);
  const mayWrite = $derived(session.may('WRITE_TO_ONE'));
  const mail = $derived(person?.reach.find((r) => r.channel === 'EMAIL'));

  const words = (name: string) => {
    const field = person?.fields.find((f) => f.name === name);
    return field ? cellWords(field, field.text, session.zone) : '';
  };
</script>

<div class="p-4">
  {#if instead(query)}
    <Trouble error={query.error} onretry={() => query.refetch()} />
  {:else if person}
    <h2 class="text-[1.25rem] break-words">
      <a class="hover:underline" href={`/people/${person.id}`}>{person.name}</a>
    </h2>
    <p class="text-soft">
      {valueOf(person, 'plan') ? `${valueOf(person, 'plan')} member` : person.kind}
      {#if valueOf(person, 'joined_on')}since {words('joined_on')}{/if}
      {#if valueOf(person, 'organisation.name')}· {valueOf(person, 'organisation.name')}{/if}
    </p>
    <div class="my-3 flex items-center gap-3">
      {#if person.archivedAt}
        <p class="text-[0.93rem] text-soft">Archived.</p>
      {:else if mail?.reach === 'READY' && mayWrite}
        <HouseButton weight="main" onclick={() => onwrite(person.id)}>Write</HouseButton>
      {:else if !mayWrite}
        <p class="text-[0.93rem] text-soft">{session.why('WRITE_TO_ONE')}</p>
      {:else}
        <p class="text-[0.93rem] text-brick">Cannot be e-mailed: {mail?.reachWords}.</p>
      {/if}
      <a
        class="text-[0.93rem] font-semibold text-kelp hover:underline"
        href={`/people/${person.id}`}
        >Open the record <kbd class="text-[0.8rem] text-soft">⏎</kbd></a
      >
    </div>
    <ul class="flex flex-col gap-1 text-[0.93rem]">
      {#if mail?.address}
        <li class="wrap-anywhere">
          {mail.address}
          {#if mail.reach === 'READY'}<span class="whitespace-nowrap"
              >· <strong>reachable</strong></span
            >{/if}
        </li>
      {/if}
      <li>
        {[
          valueOf(person, 'phone') ?? 'no phone',
          valueOf(person, 'time_zone') && `${zoneCity(valueOf(person, 'time_zone') ?? '')} time`
        ]
          .filter(Boolean)
          .join(' · ')}
      </li>
      {#if valueOf(person, 'address.place')}<li>{valueOf(person, 'address.place')}</li>{/if}
      {#each person.offices.filter((o) => !o.until) as office (office.id)}
        <li>{office.name}{office.body ? `, ${office.body.toLowerCase()}` : ''}</li>
      {/each}
      {#if valueOf(person, 'tags')}
        <li class="text-soft">{(valueOf(person, 'tags') ?? '').split(', ').join(' · ')}</li>
      {/if}
    </ul>
    <h3 class="mt-4 mb-2 text-[1rem]">Between us</h3>
    <BetweenUs happenings={between.data ?? []} quotes={person.quotes} />
  {:else}
    <p class="text-soft">Looking…</p>
  {/if}
</div>
