<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { WayConsent } from '$lib/api/types';
  import { lately } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import { byWay } from '$lib/ways/ways';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';

  interface Props {
    personId: number;
    mayChange: boolean;
  }

  let { personId, mayChange }: Props = $props();
  const queries = useQueryClient();
  const consent = createQuery(() => ({
    queryKey: ['consent-of', personId],
    queryFn: () =>
      answer(api.GET('/api/people/{id}/consent', { params: { path: { id: personId } } }))
  }));
  let closing = $state<WayConsent['channel'] | null>(null);
  let how = $state('');
  const quiet = 'min-h-6 font-semibold text-kelp hover:underline';

  async function act(work: Promise<unknown>, words: string) {
    try {
      await work;
      closing = null;
      how = '';
      notices.say(words);
      void queries.invalidateQueries();
    } catch (error) {
      notices.fail(error);
    }
  }

  const pathOf = (channel: WayConsent['channel']) => ({ path: { id: personId, channel } });

  function close(channel: WayConsent['channel']) {
    void act(
      answer(
        api.PUT('/api/people/{id}/consent/{channel}', { params: pathOf(channel), body: { how } })
      ),
      `They are not written to ${byWay(channel)} any more.`
    );
  }

  function open(channel: WayConsent['channel']) {
    void act(
      answer(api.DELETE('/api/people/{id}/consent/{channel}', { params: pathOf(channel) })),
      `They are written to ${byWay(channel)} again.`
    );
  }

  const standing = (way: WayConsent) =>
    way.closedAt
      ? `not at all since ${lately(way.closedAt, session.zone)}: ${way.how}${way.by ? `, noted by ${way.by}` : ''}`
      : way.topicsLeft.length
        ? `left ${way.topicsLeft.join(', ')}`
        : 'about anything';
</script>

{#if consent.data}
  <Panel title="May be written to">
    <ul class="px-3.5 py-2">
      {#each consent.data as way (way.channel)}
        <li class="py-1">
          <span class="flex items-baseline gap-2">
            <span class="font-semibold">{way.words}</span>
            <span class="min-w-0 flex-1 text-[0.87rem] text-soft">{standing(way)}</span>
            {#if mayChange && way.closedAt && way.by}
              <button type="button" class={quiet} onclick={() => open(way.channel)}>Allow</button>
            {:else if mayChange && !way.closedAt && closing !== way.channel}
              <button type="button" class={quiet} onclick={() => (closing = way.channel)}
                >Not any more…</button
              >
            {/if}
          </span>
          {#if closing === way.channel}
            <form
              class="mt-1 flex items-center gap-2"
              onsubmit={(event) => {
                event.preventDefault();
                close(way.channel);
              }}
            >
              <input
                class="h-8 min-w-0 flex-1 rounded-md border-line bg-card px-2 py-0"
                aria-label="How they said so"
                placeholder="How they said so: on the telephone…"
                maxlength={200}
                bind:value={how}
              />
              <HouseButton type="submit" disabled={!how.trim()}>Note it</HouseButton>
            </form>
          {/if}
        </li>
      {/each}
    </ul>
  </Panel>
{/if}
