<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { calendarDay, dayAndYear } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  const query = createQuery(() => ({
    queryKey: ['erasures'],
    queryFn: () => answer(api.GET('/api/erasures'))
  }));
</script>

<Panel title="Who was erased">
  <div class="px-3.5 py-3">
    {#if query.isError}
      <Trouble error={query.error} onretry={() => query.refetch()} />
    {:else if query.data?.length === 0}
      <p class="text-soft">
        Nobody yet. Somebody is erased on their own page, at “What we hold”; here stand the
        certificates, which do not say who it was.
      </p>
    {:else}
      <ul>
        {#each query.data ?? [] as erased (erased.number)}
          <li
            class="flex flex-wrap items-baseline gap-x-3 border-t border-line-soft py-2 first:border-t-0"
          >
            <span class="min-w-0 flex-1">
              <span class="font-semibold">No. {erased.number}</span>
              on {dayAndYear(erased.at, session.zone)}
              <span class="block text-[0.87rem] text-soft">
                record {erased.record}, by {erased.by}{erased.askedOn
                  ? `; asked for on ${calendarDay(erased.askedOn)}`
                  : ''}
              </span>
            </span>
            <a
              class="min-h-6 font-semibold text-kelp hover:underline"
              href={`/api/erasures/${erased.number}/certificate.pdf`}
              aria-label={`Download certificate no. ${erased.number}`}
              download>Download</a
            >
          </li>
        {/each}
      </ul>
    {/if}
  </div>
</Panel>
