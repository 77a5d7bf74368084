<script lang="ts">
  import { goto } from '$app/navigation';
  import { allSeriesQuery } from '$lib/api/queries';
  import { count } from '$lib/format/numbers';
  import BeginSeries from '$lib/series/BeginSeries.svelte';
  import { STATES } from '$lib/series/series';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  const query = createQuery(allSeriesQuery);
  let naming = $state(false);
</script>

<PageHead title="Series" words="Messages in steps, each person on their own days.">
  {#snippet actions()}
    <HouseButton onclick={() => goto('/mailings')}>Mailings</HouseButton>
    {#if session.may('SERIES')}
      <HouseButton weight="main" onclick={() => (naming = true)}>New series</HouseButton>
    {/if}
  {/snippet}
</PageHead>
{#if query.error}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if query.data}
  <section class="panel" aria-label="All series">
    {#if query.data.length === 0}
      <p class="px-3.5 py-3 text-soft">
        No series yet. One writes by itself what is written again and again: a welcome in three
        letters, a word before and after a course.
      </p>
    {/if}
    <ul>
      {#each query.data as series (series.id)}
        <li class="border-b border-line-soft last:border-b-0">
          <a
            class="flex min-h-[44px] flex-wrap items-baseline gap-x-4 px-3.5 py-2 hover:bg-kelp-pale"
            href={`/mailings/series/${series.id}`}
          >
            <strong class="min-w-0 flex-1 break-words">{series.name}</strong>
            <span class={series.state === 'ACTIVE' ? 'text-kelp' : 'text-soft'}
              >{STATES[series.state]}</span
            >
            <span class="text-[0.87rem] text-soft">
              {count(series.in)} in it · {count(series.finished)} had all · {count(series.ended)} out
              before
            </span>
          </a>
        </li>
      {/each}
    </ul>
  </section>
{/if}
<BeginSeries bind:open={naming} />
