<script lang="ts">
  import { topicsQuery } from '$lib/api/queries';
  import { answer, api } from '$lib/api/client';
  import type { SignUpPageBody } from '$lib/api/types';
  import type { Channel } from '$lib/ways/ways';
  import { createQuery } from '@tanstack/svelte-query';
  import { Select } from 'flowbite-svelte';
  import { hearsOf, moved } from './signup';

  interface Props {
    page: SignUpPageBody;
  }

  let { page = $bindable() }: Props = $props();

  const askable = createQuery(() => ({
    queryKey: ['askable'],
    queryFn: () => answer(api.GET('/api/sign-up-pages/askable'))
  }));
  const topics = createQuery(topicsQuery);
  const left = $derived(
    (askable.data ?? []).filter((f) => !page.asks.some((a) => a.field === f.name))
  );
  const labelOf = (name: string) =>
    askable.data?.find((f) => f.name === name)?.label ?? 'a field that is gone';

  function ask(field: string) {
    if (field) page.asks = [...page.asks, { field, required: false }];
  }

  function tick(topic: number, on: boolean) {
    page.topics = on ? [...page.topics, topic] : page.topics.filter((t) => t !== topic);
  }

  const OFFERED = [
    { way: 'TEXT', name: 'Text message' },
    { way: 'APP', name: 'App' }
  ] as const;

  /** Who may tick texts is asked for their phone too. */
  function offer(way: Channel, on: boolean) {
    page.ways = on ? [...page.ways, way] : page.ways.filter((w) => w !== way);
    if (on && way === 'TEXT' && !page.asks.some((a) => a.field === 'phone')) ask('phone');
  }
</script>

<ul class="flex flex-col">
  <li class="flex min-h-[36px] items-center border-b border-line-soft">
    <span class="flex-1 font-semibold">E-mail</span><span class="text-soft">always asked</span>
  </li>
  {#each page.asks as asked, at (asked.field)}
    <li class="flex min-h-[36px] flex-wrap items-center gap-x-3 border-b border-line-soft">
      <span class="min-w-0 flex-1 font-semibold break-words">{labelOf(asked.field)}</span>
      <label class="flex items-center gap-1.5"
        ><input type="checkbox" bind:checked={asked.required} /> required</label
      >
      {#each [[-1, '↑', 'up'], [1, '↓', 'down']] as const as [by, sign, words] (by)}
        <button
          type="button"
          class="min-h-6 min-w-6 text-kelp disabled:text-line"
          aria-label={`${labelOf(asked.field)}: one place ${words}`}
          disabled={at + by < 0 || at + by >= page.asks.length}
          onclick={() => (page.asks = moved(page.asks, at, by))}>{sign}</button
        >
      {/each}
      <button
        type="button"
        class="min-h-6 font-semibold text-kelp hover:underline"
        aria-label={`Do not ask for ${labelOf(asked.field)}`}
        onclick={() => (page.asks = page.asks.filter((a) => a !== asked))}>Leave out</button
      >
    </li>
  {/each}
</ul>
{#if left.length > 0}
  <Select
    class="mt-2"
    placeholder=""
    aria-label="Ask for one more field"
    items={[
      { value: '', name: 'Ask for one more…' },
      ...left.map((f) => ({ value: f.name, name: f.label }))
    ]}
    bind:value={() => '', ask}
  />
{/if}
{#if (topics.data ?? []).length > 0}
  <fieldset class="mt-3">
    <legend class="pb-1 text-soft">Topics to tick</legend>
    <div class="flex flex-wrap gap-x-5 gap-y-1">
      {#each (topics.data ?? []).filter((t) => !t.retired || page.topics.includes(t.id)) as topic (topic.id)}
        <label class="flex min-h-6 items-center gap-1.5"
          ><input
            type="checkbox"
            checked={page.topics.includes(topic.id)}
            onchange={(e) => tick(topic.id, e.currentTarget.checked)}
          />
          {topic.name}</label
        >
      {/each}
    </div>
    <p class="mt-1 text-[0.87rem] text-soft">{hearsOf(page)}</p>
  </fieldset>
{/if}
<fieldset class="mt-3">
  <legend class="pb-1 text-soft">Ways to tick, beside e-mail</legend>
  <div class="flex flex-wrap gap-x-5 gap-y-1">
    {#each OFFERED as { way, name } (way)}
      <label class="flex min-h-6 items-center gap-1.5"
        ><input
          type="checkbox"
          checked={page.ways.includes(way)}
          onchange={(e) => offer(way, e.currentTarget.checked)}
        />
        {name}</label
      >
    {/each}
  </div>
  {#if page.ways.length}
    <p class="mt-1 text-[0.87rem] text-soft">
      Who is new is not reached on a way that they do not tick.
    </p>
  {/if}
</fieldset>
