<script lang="ts">
  import { goto } from '$app/navigation';
  import { answer, api } from '$lib/api/client';
  import { allSeriesQuery, topicsQuery } from '$lib/api/queries';
  import { count } from '$lib/format/numbers';
  import { STATES } from '$lib/series/series';
  import { session } from '$lib/session/session.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { Input, Select } from 'flowbite-svelte';

  const query = createQuery(allSeriesQuery);
  const topics = createQuery(topicsQuery);
  let naming = $state(false);
  let name = $state('');
  let topic = $state(0);

  async function begin() {
    try {
      const body = { name, topicId: topic || (topics.data?.[0]?.id ?? 0) };
      const begun = await answer(api.POST('/api/series', { body }));
      await goto(`/mailings/series/${begun.id}`);
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<PageHead title="Series" words="Messages in steps, each person on their own days.">
  {#snippet actions()}
    <HouseButton onclick={() => goto('/mailings')}>Mailings</HouseButton>
    {#if session.colleague?.mayWrite}
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
<Ask bind:open={naming} title="A new series">
  <form
    id="new-series"
    class="flex flex-col gap-3"
    onsubmit={(event) => {
      event.preventDefault();
      void begin();
    }}
  >
    <label class="flex flex-col gap-1">
      Name
      <Input bind:value={name} maxlength={200} required data-autofocus autocomplete="off" />
    </label>
    <label class="flex flex-col gap-1">
      Topic, which people can leave
      <Select
        placeholder=""
        items={(topics.data ?? []).map((t) => ({ value: t.id, name: t.name }))}
        bind:value={() => topic || (topics.data?.[0]?.id ?? 0), (id) => (topic = id)}
      />
    </label>
  </form>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (naming = false)}>Not now</HouseButton>
    <HouseButton weight="main" type="submit" form="new-series" disabled={!name.trim()}
      >Begin</HouseButton
    >
  {/snippet}
</Ask>
