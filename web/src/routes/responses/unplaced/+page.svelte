<script lang="ts">
  import { instead } from '$lib/api/instead';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { answer, api } from '$lib/api/client';
  import type { UnplacedMail } from '$lib/api/types';
  import { lately } from '$lib/format/dates';
  import { UNTOLD } from '$lib/live/live';
  import { taken } from '$lib/response/kinds';
  import { writer } from '$lib/conversation/conversation';
  import PlaceMail from '$lib/inbound/PlaceMail.svelte';
  import { session } from '$lib/session/session.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';

  const queries = useQueryClient();
  const query = createQuery(() => ({
    queryKey: ['unplaced'],
    queryFn: () => answer(api.GET('/api/mail/unplaced')),
    refetchInterval: UNTOLD
  }));
  const chosen = $derived(
    query.data?.find((m) => m.id === Number(page.url.searchParams.get('mail'))) ?? query.data?.[0]
  );

  /** It is gone from the list at once: what is pressed next is about the next one. */
  function placed(mail: number) {
    queries.setQueryData<UnplacedMail[]>(['unplaced'], (all) => all?.filter((m) => m.id !== mail));
    void queries.invalidateQueries();
  }
</script>

<PageHead title="Mail to place" words="Software could not tell what it answers; you can." />
{#if instead(query)}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if query.data && !chosen}
  <p class="panel p-6 text-soft">Nothing to place. Whatever came in is where it belongs.</p>
{:else if query.data && chosen}
  <div
    class="grid min-h-0 flex-1 grid-cols-[340px_minmax(0,1fr)] gap-3 max-lg:flex-none max-lg:grid-cols-1"
  >
    <Panel title="Waiting" scrolls>
      <ul>
        {#each query.data as mail (mail.id)}
          <li class="border-b border-line-soft">
            <button
              type="button"
              class={`w-full px-3.5 py-2 text-left hover:bg-kelp-pale ${mail.id === chosen.id ? 'bg-kelp-pale' : ''}`}
              aria-pressed={mail.id === chosen.id}
              onclick={() => goto(`?mail=${mail.id}`, { replaceState: true, keepFocus: true })}
            >
              <span class="block truncate font-semibold">{writer(mail.from)}</span>
              <span class="block truncate">{mail.subject || 'No subject'}</span>
              <span class="block text-[0.82rem] text-soft">
                {lately(mail.at, session.zone)} · {taken[mail.sortedAs] ?? 'a mail'}
              </span>
            </button>
          </li>
        {/each}
      </ul>
    </Panel>
    {#key chosen.id}
      <PlaceMail mail={chosen} ondone={placed} />
    {/key}
  </div>
{/if}
