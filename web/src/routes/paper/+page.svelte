<script lang="ts">
  import { printRunsQuery } from '$lib/api/queries';
  import type { PrintRunRow } from '$lib/api/types';
  import { calendarDay, dayAndYear } from '$lib/format/dates';
  import { people } from '$lib/format/numbers';
  import { sheets } from '$lib/paper/paper';
  import { session } from '$lib/session/session.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  const query = createQuery(printRunsQuery);

  function standing(row: PrintRunRow): string {
    if (row.state === 'DRAFT') return 'not printed yet';
    if (row.state === 'PRINTING') return 'being printed';
    const back = row.returned ? `, ${row.returned} came back` : '';
    return row.postedOn ? `posted on ${calendarDay(row.postedOn)}${back}` : 'printed, not posted';
  }
</script>

<PageHead title="On paper" words="Labels and envelopes, as they were printed." />
{#if query.error}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if query.data?.length === 0}
  <div class="panel p-6">
    <p>Nothing has been printed yet.</p>
    <p class="text-soft">
      Pick some <a class="font-semibold text-kelp underline" href="/people">people</a> and press Labels.
    </p>
  </div>
{:else}
  <ul class="panel divide-y divide-line-soft overflow-y-auto">
    {#each query.data ?? [] as row (row.id)}
      <li>
        <a
          href={`/paper/${row.id}`}
          class="grid grid-cols-[minmax(0,2fr)_minmax(0,2fr)_minmax(0,1.5fr)_minmax(0,1.5fr)] items-baseline gap-x-4 px-4 py-2 hover:bg-shade max-md:grid-cols-1"
        >
          <span class="font-semibold">{row.name}</span>
          <span class="text-soft">{row.sheet}</span>
          <span class="text-soft"
            >{row.pages ? `${people(row.people)} on ${sheets(row.pages)}` : ''}</span
          >
          <span
            >{standing(row)}
            <span class="text-soft">· {row.maker}, {dayAndYear(row.createdAt, session.zone)}</span
            ></span
          >
        </a>
      </li>
    {/each}
  </ul>
{/if}
