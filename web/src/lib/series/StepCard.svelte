<script lang="ts">
  import type { SeriesStep } from '$lib/api/types';
  import MergeText from '$lib/editor/MergeText.svelte';
  import { count } from '$lib/format/numbers';
  import { hadWords } from './series';

  interface Props {
    step: SeriesStep;
    day: number;
    mayChange: boolean;
    /** Whether it may change places with the one before. */
    mayGoUp: boolean;
    onchange: () => void;
    onup: () => void;
    ontakeaway: () => void;
    oninsert: () => void;
  }

  let { step, day, mayChange, mayGoUp, onchange, onup, ontakeaway, oninsert }: Props = $props();

  const came = $derived(
    (
      [
        [step.opened, 'opened'],
        [step.clicked, 'followed a link'],
        [step.replied, 'replied'],
        [step.returned, 'came back'],
        [step.leftList, 'left']
      ] as const
    ).filter(([n]) => n > 0)
  );
  const act = 'min-h-[26px] text-kelp hover:underline max-md:min-h-[44px]';
</script>

<div class="flex items-start gap-3">
  <p class="w-14 flex-none pt-2.5 text-right text-[0.87rem] text-soft">
    day <strong class="text-ink">{day}</strong>
  </p>
  <span class="mt-3.5 size-3 flex-none rounded-full bg-kelp-mid" aria-hidden="true"></span>
  <article class="panel min-w-0 flex-1 px-3.5 py-2.5" aria-label={`Step ${step.place}`}>
    <h2 class="flex flex-wrap items-baseline gap-x-3 text-[1rem]">
      <span class="min-w-0 break-words"><MergeText text={step.subject || 'no subject yet'} /></span>
      <span class="text-[0.87rem] font-normal text-soft"
        >{step.waits}{step.inThread ? ' · in the thread of the step before' : ''}{step.meant.length
          ? ` · for ${step.meant.map((part) => part.name ?? 'some').join(', ')} only`
          : ''}</span
      >
    </h2>
    <p class="text-[0.9rem] text-soft">
      {hadWords(step)}{#each came as [n, words] (words)}&nbsp;· {count(n)} {words}{/each}
    </p>
    {#if mayChange}
      <p class="mt-1 flex flex-wrap gap-x-4 text-[0.93rem]">
        <button type="button" class={act} onclick={onchange}>Change</button>
        <button type="button" class={act} onclick={oninsert}>Put one before it</button>
        {#if mayGoUp}<button type="button" class={act} onclick={onup}>Move up</button>{/if}
        <button type="button" class={`${act} text-brick`} onclick={ontakeaway}>Take away</button>
      </p>
    {/if}
  </article>
</div>
