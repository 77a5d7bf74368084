<script lang="ts">
  import { waysQuery } from '$lib/api/queries';
  import type { CheckResult } from '$lib/api/types';
  import { count } from '$lib/format/numbers';
  import type { Writing } from '$lib/draft/writing.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import {
    proposedNotice,
    proposedText,
    sooner,
    wayName,
    withoutWay,
    withWay,
    byWay,
    type Channel
  } from './ways';

  interface Props {
    writing: Writing;
    check: CheckResult | undefined;
    editable: boolean;
  }

  let { writing, check, editable }: Props = $props();
  const house = createQuery(waysQuery);
  /** Ways of this house that something can be written for, and that it does not go yet. */
  const others = $derived(
    (house.data ?? []).map((way) => way.channel).filter((way) => !writing.ways.includes(way))
  );
  const several = $derived(writing.ways.length > 1);
  const shown = $derived(several || writing.ways[0] !== 'EMAIL' || (editable && others.length > 0));

  function go(ways: Channel[], words: string) {
    const before = writing.ways;
    writing.set('ways', ways);
    notices.say(words, () => writing.set('ways', before));
  }

  function add(way: Channel) {
    if (way === 'TEXT' && !writing.text.words.trim()) {
      writing.text = { ...writing.text, words: proposedText(writing.body) };
    }
    if (way === 'APP' && !writing.notice.title.trim() && !writing.notice.words.trim()) {
      writing.notice = proposedNotice(writing.subject, writing.body);
    }
    go(withWay(writing.ways, way), `It is tried ${byWay(way)} first.`);
  }

  const reached = (way: Channel) => check?.ways.find((w) => w.channel === way)?.people;
</script>

{#if shown}
  <div
    class="flex min-h-[33px] flex-none flex-wrap items-center gap-x-2 border-b border-line px-3.5 py-1 text-[0.9rem]"
    role="group"
    aria-label="Ways"
  >
    <span class="text-soft">Goes by</span>
    {#each writing.ways as way, place (way)}
      {#if place}<span class="text-soft">else</span>{/if}
      <span class="inline-flex items-baseline gap-1 rounded-md bg-shade px-1.5">
        {#if editable && place}
          <button
            type="button"
            class="min-h-[24px] text-kelp hover:text-ink"
            aria-label={`Try ${wayName(way)} sooner`}
            title={`Try ${wayName(way)} before ${wayName(writing.ways[place - 1] ?? way)}`}
            onclick={() => go(sooner(writing.ways, way), `It is tried sooner ${byWay(way)}.`)}
            >↰</button
          >
        {/if}
        <strong class="font-semibold">{wayName(way)}</strong>
        {#if several && reached(way) !== undefined}
          <span class="text-soft">{count(reached(way) ?? 0)}</span>
        {/if}
        {#if editable && several}
          <button
            type="button"
            class="min-h-[24px] px-0.5 text-soft hover:text-ink"
            aria-label={`Do not go by ${wayName(way)}`}
            title={`Do not go by ${wayName(way)}`}
            onclick={() => go(withoutWay(writing.ways, way), `It does not go ${byWay(way)}.`)}
            >×</button
          >
        {/if}
      </span>
    {/each}
    {#if editable}
      {#each others as way (way)}
        <button
          type="button"
          class="min-h-[24px] font-semibold text-kelp hover:underline"
          onclick={() => add(way)}>+ {wayName(way)}</button
        >
      {/each}
    {/if}
  </div>
{/if}
