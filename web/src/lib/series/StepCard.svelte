<script lang="ts">
  import type { SeriesStep } from '$lib/api/types';
  import MergeText from '$lib/editor/MergeText.svelte';
  import { count } from '$lib/format/numbers';
  import { dropWords, shareWords, type WhichPeople } from './series';

  interface Props {
    step: SeriesStep;
    /** Whether it is the one that is read beside. */
    chosen: boolean;
    /** How many got the step that most people got: the width of the whole. */
    most: number;
    mayChange: boolean;
    /** Whether it may change places with the one before. */
    mayGoUp: boolean;
    onchoose: () => void;
    onchange: () => void;
    onup: () => void;
    ontakeaway: () => void;
    oninsert: () => void;
    onpeople: (which: WhichPeople) => void;
  }

  let {
    step,
    chosen,
    most,
    mayChange,
    mayGoUp,
    onchoose,
    onchange,
    onup,
    ontakeaway,
    oninsert,
    onpeople
  }: Props = $props();

  const results = $derived(`/responses/${step.causeId}`);
  const act = 'inline-flex min-h-[26px] items-center text-kelp hover:underline max-md:min-h-[44px]';
  const width = (n: number) => `width: ${most ? (100 * n) / most : 0}%`;
</script>

<div class="flex items-start gap-3">
  <p class="w-14 flex-none pt-2.5 text-right text-[0.87rem] text-soft">
    {#if step.day}day <strong class="text-ink">{step.day}</strong>{/if}
  </p>
  <span
    class={`mt-3.5 size-3 flex-none rounded-full ${chosen ? 'bg-kelp' : 'bg-kelp-mid'}`}
    aria-hidden="true"
  ></span>
  <article
    class={`panel min-w-0 flex-1 px-3.5 py-2.5 ${chosen ? 'border-kelp' : ''}`}
    aria-label={`Step ${step.place}`}
  >
    <h2 class="text-[1rem]">
      <button
        type="button"
        class="block w-full text-left break-words hover:underline max-md:min-h-[44px]"
        aria-pressed={chosen}
        onclick={onchoose}><MergeText text={step.subject || 'no subject yet'} /></button
      >
    </h2>
    <p class="text-[0.87rem] text-soft">
      {step.waits}{step.inThread ? ' · in the thread of the step before' : ''}{step.meant.length
        ? ` · for ${step.meant.map((part) => part.name ?? 'some').join(', ')} only`
        : ''}
    </p>
    {#if most > 0}
      <div class="mt-1.5 h-2 bg-shade" role="img" aria-label={dropWords(step, most)}>
        <div class="relative h-2 bg-kelp-light" style={width(step.sent)}>
          <div
            class="absolute inset-y-0 left-0 bg-kelp-mid"
            style={`width: ${step.sent ? (100 * step.opened) / step.sent : 0}%`}
          ></div>
        </div>
      </div>
    {/if}
    <p class="mt-1 flex flex-wrap items-center gap-x-3 text-[0.9rem]">
      {#if step.next}
        <button type="button" class={act} onclick={() => onpeople({ waitsFor: step.id })}
          >next for {count(step.next)}</button
        >
      {/if}
      {#if step.sent}<a class={act} href={results}>{count(step.sent)} got it</a>{/if}
      {#if step.waiting}<span>{count(step.waiting)} on the way</span>{/if}
      {#if step.without}
        <button type="button" class={act} onclick={() => onpeople({ passedOverBy: step.id })}
          >{count(step.without)} passed over</button
        >
      {/if}
      {#each step.shares as share (share.what)}
        <a
          class={act}
          href={results}
          title="With 95% confidence the share among all lies in between">{shareWords(share)}</a
        >
      {/each}
      {#if step.returned}<a class={act} href={results}>{count(step.returned)} came back</a>{/if}
      {#if step.leftList}<a class={act} href={results}>{count(step.leftList)} left</a>{/if}
    </p>
    {#if mayChange}
      <p class="mt-1 flex flex-wrap gap-x-4 text-[0.9rem]">
        <button type="button" class={`${act} font-semibold`} onclick={onchange}>Change</button>
        <button type="button" class={act} onclick={oninsert}>Put one before it</button>
        {#if mayGoUp}<button type="button" class={act} onclick={onup}>Move up</button>{/if}
        <button type="button" class={`${act} text-brick`} onclick={ontakeaway}>Take away</button>
      </p>
    {/if}
  </article>
</div>
