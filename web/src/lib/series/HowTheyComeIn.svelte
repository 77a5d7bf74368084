<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { Filter, SendPlan, SeriesEntryPlan } from '$lib/api/types';
  import { count } from '$lib/format/numbers';
  import { dayAndTime } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import { Input } from 'flowbite-svelte';
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query';

  interface Props {
    series: number;
    filter: Filter;
    /** Whether it is known who comes in. */
    known: boolean;
    plan: SendPlan | null;
    onplan: (plan: SendPlan | null) => void;
  }

  let { series, filter, known, plan, onplan }: Props = $props();
  let typed = $state('');
  let wrong = $state('');

  const params = $derived({ path: { id: series } });
  const comes = createQuery(() => ({
    queryKey: ['series-entry-plan', series, filter, plan],
    queryFn: () =>
      answer(
        api.POST('/api/series/{id}/people/plan', {
          params,
          body: { filter, people: [], picked: null, plan }
        })
      ),
    enabled: known,
    placeholderData: keepPreviousData
  }));

  async function read() {
    wrong = '';
    if (!typed.trim()) return onplan(null);
    try {
      onplan(await answer(api.GET('/api/typed/plan', { params: { query: { text: typed } } })));
    } catch (error) {
      wrong = error instanceof Error ? error.message : String(error);
    }
  }

  function take(words: string, wanted: SendPlan) {
    typed = words;
    onplan(wanted);
  }

  const when = (at: string) => dayAndTime(at, session.zone);

  function outcome(of: SeriesEntryPlan): string {
    if (!of.first || !of.last) return 'Nobody comes in under this plan.';
    const waves = of.waves > 1 ? `${count(of.waves)} waves, from ${when(of.first)}` : '';
    const last = of.waves > 1 ? ` to ${when(of.last)}` : `All at once, ${when(of.last)}`;
    return `${waves}${last}${of.lastStep ? `; the last step is had by ${when(of.lastStep)}` : ''}.`;
  }
</script>

<label class="flex flex-col gap-1">
  When they come in
  <Input
    bind:value={typed}
    onchange={() => void read()}
    autocomplete="off"
    placeholder="at once, or such as: tomorrow 9, 50 every 1 day, done by 20 Dec"
  />
</label>
<div class="text-[0.93rem]">
  {#if wrong}
    <p class="text-brick" role="alert">{wrong}</p>
  {:else if known && comes.data}
    <p role="status">{outcome(comes.data)}</p>
    {#if comes.data.hadBy && !comes.data.hadBy.met}
      <p class="text-brick">
        {comes.data.hadBy.latestEntry
          ? `Too late: the last would have to come in by ${when(comes.data.hadBy.latestEntry)}.`
          : 'Too late: not even who comes in now has the last step by that day.'}
      </p>
      {#if comes.data.hadBy.others.length}
        <ul>
          {#each comes.data.hadBy.others as other (other.words)}
            <li>
              <button
                type="button"
                class="min-h-[26px] text-left text-kelp hover:underline max-md:min-h-[44px]"
                onclick={() => take(other.words, other.plan)}>{other.words} would do</button
              >
            </li>
          {/each}
        </ul>
      {/if}
    {/if}
  {:else if comes.error}
    <p class="text-brick" role="alert">{comes.error.message}</p>
  {/if}
</div>
