<script lang="ts">
  import { goto } from '$app/navigation';
  import { UNTOLD } from '$lib/live/live';
  import { answer, api } from '$lib/api/client';
  import { dayAndYear } from '$lib/format/dates';
  import { count, percent } from '$lib/format/numbers';
  import JustNow from '$lib/response/JustNow.svelte';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  const query = createQuery(() => ({
    queryKey: ['responses'],
    queryFn: () => answer(api.GET('/api/responses')),
    refetchInterval: UNTOLD
  }));

  const unplaced = createQuery(() => ({
    queryKey: ['unplaced', 'count'],
    queryFn: () => answer(api.GET('/api/mail/unplaced/count')),
    refetchInterval: UNTOLD
  }));
  const toPlace = $derived(unplaced.data?.mails ?? 0);

  const numbers = [
    { title: 'Replied', part: 'REPLIED', of: 'replied' },
    { title: 'Opened, no reply', part: 'OPENED', of: 'opened' },
    { title: 'Quiet', part: 'QUIET', of: 'quiet' },
    { title: 'Returned', part: 'RETURNED', of: 'returned' }
  ] as const;
</script>

<PageHead title="Responses" words="What came back on each mailing. Every number opens its people.">
  {#snippet actions()}
    {#if toPlace}
      <HouseButton onclick={() => goto('/responses/unplaced')}
        >{count(toPlace)} {toPlace === 1 ? 'mail' : 'mails'} to place</HouseButton
      >
    {/if}
  {/snippet}
</PageHead>
<div
  class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_316px] gap-3 max-lg:flex-none max-lg:grid-cols-1"
>
  <!-- What scrolls must be reachable by key. -->
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="panel min-h-0 overflow-auto" tabindex="0" role="region" aria-label="Mailings">
    {#if query.error}
      <Trouble error={query.error} onretry={() => query.refetch()} />
    {:else if query.data?.length === 0}
      <p class="p-6 text-soft">Nothing has been sent yet. Responses show here as they come in.</p>
    {:else}
      <table class="w-full">
        <thead>
          <tr class="text-left text-[0.8rem] text-soft">
            <th scope="col" class="px-3.5 py-2 font-semibold">Mailing</th>
            <th scope="col" class="px-3.5 font-semibold max-md:hidden">First left</th>
            <th scope="col" class="px-3.5 text-right font-semibold max-md:hidden">Sent</th>
            {#each numbers as number (number.title)}
              <th
                scope="col"
                class={`px-3.5 text-right font-semibold max-md:px-1.5 ${number.of === 'returned' ? 'max-md:hidden' : ''}`}
                >{number.title}</th
              >
            {/each}
          </tr>
        </thead>
        <tbody>
          {#each query.data ?? [] as mailing (mailing.id)}
            <tr class="h-9 border-t border-line-soft hover:bg-kelp-pale">
              <td class="px-3.5">
                <a class="font-semibold hover:underline" href={`/responses/${mailing.id}`}
                  >{mailing.name}</a
                >
                {#if mailing.toDepart}
                  <a
                    class="ms-1 text-[0.87rem] text-soft hover:underline"
                    href={`/outbox?mailing=${mailing.id}`}>{count(mailing.toDepart)} to leave</a
                  >
                {/if}
              </td>
              <td class="px-3.5 whitespace-nowrap text-soft max-md:hidden">
                {mailing.sentAt ? dayAndYear(mailing.sentAt, session.zone) : 'not yet'}
              </td>
              <td class="px-3.5 text-right max-md:hidden">
                <a class="hover:underline" href={`/responses/${mailing.id}`}
                  >{count(mailing.sent)}</a
                >
              </td>
              {#each numbers as number (number.title)}
                <td
                  class={`px-3.5 text-right whitespace-nowrap max-md:px-1.5 ${number.of === 'returned' ? 'max-md:hidden' : ''}`}
                >
                  <a
                    class="text-kelp hover:underline"
                    href={`/responses/${mailing.id}?part=${number.part}`}
                    >{count(mailing[number.of])}</a
                  >
                  {#if number.of === 'replied' && mailing.sent > mailing.returned}
                    <span class="text-[0.8rem] text-soft max-md:hidden"
                      >{percent(mailing.replied / (mailing.sent - mailing.returned))}</span
                    >
                  {/if}
                </td>
              {/each}
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
  </div>
  <JustNow />
</div>
