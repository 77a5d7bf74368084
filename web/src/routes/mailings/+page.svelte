<script lang="ts">
  import { UNTOLD } from '$lib/live/live';
  import { goto } from '$app/navigation';
  import { mailingsQuery } from '$lib/api/queries';
  import type { MailingRow } from '$lib/api/types';
  import { dayAndTime, dayAndYear } from '$lib/format/dates';
  import { count } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';
  import MergeText from '$lib/editor/MergeText.svelte';
  import BeginDialog from '$lib/mailing/BeginDialog.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Progress from '$lib/ui/Progress.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  let beginning = $state(false);
  const query = createQuery(() => ({ ...mailingsQuery(), refetchInterval: UNTOLD }));
  const drafts = $derived((query.data ?? []).filter((m) => m.state === 'DRAFT'));
  const released = $derived((query.data ?? []).filter((m) => m.state !== 'DRAFT'));

  function stand(mailing: MailingRow): string {
    if (mailing.state === 'WITHDRAWN') return 'withdrawn';
    if (mailing.toDepart === 0) return 'all gone';
    if (mailing.sent === 0 && mailing.dueAt) {
      return `leaves ${dayAndTime(mailing.dueAt, session.zone)}`;
    }
    return `${count(mailing.toDepart)} to leave`;
  }
</script>

<PageHead title="Mailings" words="Drafts first, then what has been released, newest first.">
  {#snippet actions()}
    <HouseButton onclick={() => goto('/mailings/series')}>Series</HouseButton>
    <HouseButton onclick={() => goto('/mailings/days')}>Days to remember</HouseButton>
    <HouseButton onclick={() => goto('/people')} shortcut="2">Find people to write to</HouseButton>
    {#if session.may('WRITE_TO_ONE')}
      <HouseButton weight="main" onclick={() => (beginning = true)}>New mailing</HouseButton>
    {/if}
  {/snippet}
</PageHead>
{#if query.error}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if query.data}
  <section class="panel" aria-label="Drafts">
    <h2 class="border-b border-line px-3.5 py-2 text-[1rem]">
      {drafts.length === 0
        ? 'No drafts'
        : drafts.length === 1
          ? '1 draft'
          : `${drafts.length} drafts`}
    </h2>
    {#if drafts.length === 0}
      <p class="px-3.5 py-3 text-soft">
        Find people and write to them, or begin with the words and say afterwards whom they are for.
      </p>
    {/if}
    <ul>
      {#each drafts as mailing (mailing.id)}
        <li class="border-b border-line-soft last:border-b-0">
          <a
            class="flex min-h-[44px] flex-wrap items-baseline gap-x-4 px-3.5 py-2 hover:bg-kelp-pale"
            href={`/mailings/${mailing.id}`}
          >
            <strong class="min-w-0 break-words">{mailing.name}</strong>
            <span class="min-w-0 flex-1 text-soft max-md:order-last max-md:basis-full"
              ><MergeText text={mailing.subject || 'no subject yet'} /></span
            >
            <span class="text-[0.87rem] whitespace-nowrap text-soft">
              {mailing.senderName} · begun {dayAndYear(mailing.createdAt, session.zone)}
            </span>
          </a>
        </li>
      {/each}
    </ul>
  </section>
  <section class="panel" aria-label="Released">
    <table class="w-full">
      <thead>
        <tr class="text-left text-[0.8rem] text-soft">
          <th scope="col" class="px-3.5 py-2 font-semibold">Released</th>
          <th scope="col" class="px-3.5 font-semibold max-md:hidden">By</th>
          <th scope="col" class="px-3.5 font-semibold max-md:hidden">When</th>
          <th scope="col" class="px-3.5 font-semibold">Gone</th>
          <th scope="col" class="px-3.5 text-right font-semibold">Replied</th>
        </tr>
      </thead>
      <tbody>
        {#each released as mailing (mailing.id)}
          <tr class="h-9 border-t border-line-soft hover:bg-kelp-pale">
            <td class="px-3.5">
              <a class="font-semibold hover:underline" href={`/mailings/${mailing.id}`}
                >{mailing.name}</a
              >
            </td>
            <td class="px-3.5 whitespace-nowrap text-soft max-md:hidden">{mailing.senderName}</td>
            <td class="px-3.5 whitespace-nowrap max-md:hidden">
              {mailing.releasedAt ? dayAndYear(mailing.releasedAt, session.zone) : ''}
            </td>
            <td class="w-72 px-3.5 py-1.5 max-md:w-40">
              <span class="block text-[0.87rem]"
                >{count(mailing.sent)} of {count(mailing.messages)} · {stand(mailing)}</span
              >
              <Progress
                label={`${mailing.name}: gone`}
                value={mailing.sent}
                of={mailing.messages}
              />
            </td>
            <td class="px-3.5 text-right">
              <a class="text-kelp hover:underline" href={`/responses/${mailing.id}?part=REPLIED`}
                >{count(mailing.replied)}</a
              >
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  </section>
{/if}
<BeginDialog bind:open={beginning} count={0} filter={null} picks={[]} leftOut={[]} />
