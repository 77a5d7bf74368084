<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { MessageStanding, Summary } from '$lib/api/types';
  import { count } from '$lib/format/numbers';
  import { UNTOLD } from '$lib/live/live';
  import { session } from '$lib/session/session.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createInfiniteQuery, keepPreviousData } from '@tanstack/svelte-query';
  import { sizeOf, type Part } from './parts';
  import StandingActs from './StandingActs.svelte';
  import StandingTable from './StandingTable.svelte';
  import type { Sought } from './sought';

  interface Props {
    summary: Summary;
    part: Part;
    /** Instead of all of the part: those who did something, or are of a group. */
    sought: Sought;
    onall: () => void;
  }

  let { summary, part, sought, onall }: Props = $props();

  const standings = $derived(
    sought.standings ?? (sought.words && !sought.withPart ? [] : part.standings)
  );
  const list = createInfiniteQuery(() => ({
    queryKey: ['standing', summary.id, standings, sought.query],
    queryFn: ({ pageParam }) =>
      answer(
        api.GET('/api/responses/{mailingId}/messages', {
          params: {
            path: { mailingId: summary.id },
            query: {
              standings,
              ...sought.query,
              afterKey: pageParam?.nameKey,
              afterId: pageParam?.id
            }
          }
        })
      ),
    initialPageParam: undefined as MessageStanding | undefined,
    getNextPageParam: (last: MessageStanding[]) => (last.length === 100 ? last[99] : undefined),
    placeholderData: keepPreviousData,
    refetchInterval: UNTOLD
  }));
  const size = $derived(sizeOf(part, summary));
  const title = $derived(
    sought.words
      ? sought.words + (sought.withPart ? `: ${part.title.toLowerCase()}` : '')
      : `${part.title}: ${count(size)} ${size === 1 ? 'person' : 'people'}`
  );
</script>

<Panel {title} scrolls>
  {#snippet aside()}
    {#if sought.words}
      <button type="button" class="font-semibold text-kelp hover:underline" onclick={onall}
        >Show all again</button
      >
    {:else if size && session.may('WRITE_TO_ONE')}
      <StandingActs mailingId={summary.id} {part} {size} />
    {:else}
      {part.words}
    {/if}
  {/snippet}
  {#if list.error}
    <Trouble error={list.error} onretry={() => list.refetch()} />
  {:else}
    <StandingTable
      rows={list.data?.pages.flat() ?? []}
      onend={() => list.hasNextPage && !list.isFetching && list.fetchNextPage()}
    />
  {/if}
</Panel>
