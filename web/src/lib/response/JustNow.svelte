<script lang="ts">
  import { UNTOLD } from '$lib/live/live';
  import { answer, api } from '$lib/api/client';
  import { lately } from '$lib/format/dates';
  import { afterName } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';
  import LetterMark from '$lib/ui/LetterMark.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { letterOf, smallPrint, told } from './kinds';

  interface Props {
    /** Only what came in on this mailing; undefined takes all. */
    mailingId?: number;
    class?: string;
  }

  let { mailingId, class: extra = '' }: Props = $props();

  const query = createQuery(() => ({
    queryKey: ['latest', mailingId ?? null],
    queryFn: () => answer(api.GET('/api/responses/latest', { params: { query: { mailingId } } })),
    refetchInterval: UNTOLD
  }));
</script>

<Panel title="Just now" class={extra} scrolls>
  {#snippet aside()}live{/snippet}
  <ol>
    {#each query.data ?? [] as latest (latest.id)}
      <li class="flex gap-3 border-b border-line-soft px-3.5 py-2">
        <span class="pt-0.5"><LetterMark letter={letterOf(latest.kind)} /></span>
        <span class="min-w-0 text-[0.93rem]">
          <span class="block break-words"
            ><a class="font-semibold hover:underline" href={`/people?person=${latest.personId}`}
              >{latest.name}</a
            >{afterName(told(latest, mailingId === undefined))}{#if latest.kind === 'REPLIED'}
              <a class="ms-1 text-kelp hover:underline" href={`/responses/with/${latest.messageId}`}
                >read</a
              >{/if}</span
          >
          <span
            class="line-clamp-2 text-[0.82rem] break-words text-soft"
            title={smallPrint(latest) || undefined}
          >
            {lately(latest.at, session.zone)}{smallPrint(latest) ? ` · ${smallPrint(latest)}` : ''}
          </span>
        </span>
      </li>
    {:else}
      <li class="px-3.5 py-3 text-soft">
        {query.isSuccess ? 'Nothing has come in yet.' : 'Looking…'}
      </li>
    {/each}
  </ol>
</Panel>
