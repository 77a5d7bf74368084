<script lang="ts">
  import type { FindingBody, CheckResult } from '$lib/api/types';
  import { notices as foot } from '$lib/ui/notices.svelte';
  import type { Writing } from '$lib/draft/writing.svelte';
  import { folds } from '$lib/ui/folds.svelte';
  import { count } from '$lib/format/numbers';
  import FallbackForm from './FallbackForm.svelte';
  import { blockers, findingsWords, notices, type Which } from './checkParts';
  import { leaveOut, mendsOf } from './mends';
  import NamesDialog from './NamesDialog.svelte';

  interface Props {
    writing: Writing;
    check: CheckResult;
    onshow: (which: Which) => void;
  }

  let { writing, check, onshow }: Props = $props();
  const stop = $derived(blockers(check));
  const mind = $derived(notices(check));
  let filling = $state<string | null>(null);
  let naming = $state<FindingBody['code'] | null>(null);

  function people(finding: FindingBody): Which {
    return { finding: finding.code, about: finding.about, words: note(finding) };
  }

  function note(finding: FindingBody): string {
    return finding.sentence
      .replace(/^[\d,]+( of [\d,]+)?( people| person)? /, '')
      .replace(/[;.].*$/, '');
  }

  function leave(finding: FindingBody) {
    leaveOut(writing, finding).catch((error: unknown) => foot.fail(error));
  }

  const open = $derived(folds.isOpen('findings'));
  const short = $derived(
    stop.length
      ? stop.map((finding) => finding.sentence).join(' ')
      : mind.map((finding) => finding.sentence.replace(/[;.].*$/, '')).join(' · ')
  );

  const quiet = 'font-semibold whitespace-nowrap text-ochre hover:underline';
</script>

{#if stop.length + mind.length}
  <div
    class={`flex min-h-[34px] flex-none items-center gap-x-3 border-t border-line px-3.5 py-1 text-[0.93rem] ${stop.length ? 'bg-brick-pale' : 'bg-ochre-pale'}`}
  >
    <strong class={`flex-none ${stop.length ? 'text-brick' : 'text-ochre'}`}
      >{findingsWords(stop.length, mind.length)}</strong
    >
    <span class="min-w-0 flex-1 truncate" title={short}>{open ? '' : short}</span>
    <button
      type="button"
      class="min-h-[26px] flex-none font-semibold text-ochre hover:underline"
      aria-expanded={open}
      aria-controls="findings"
      aria-label={`${open ? 'Fold' : 'Open'} what the check found`}
      onclick={() => folds.set('findings', !open)}
      >{open ? 'Fold' : 'Open'} <span aria-hidden="true">{open ? '▾' : '▴'}</span></button
    >
  </div>
{/if}
{#if open && stop.length + mind.length}
  <ul
    id="findings"
    class="max-h-44 flex-none overflow-y-auto border-t border-line-soft text-[0.9rem]"
    aria-label="What the check found"
  >
    {#each stop as finding (finding.code + finding.about + finding.sentence)}
      <li class="border-b border-line-soft bg-brick-pale px-3.5 py-1.5 last:border-b-0">
        <div class="flex flex-wrap justify-between gap-x-3">
          <span
            ><strong class="text-brick">Stops the release.</strong>
            {finding.sentence}</span
          >
          {#if mendsOf(finding).includes('leave out')}
            <button type="button" class={quiet} onclick={() => leave(finding)}
              >Leave out the last {count(finding.people)}</button
            >
          {/if}
        </div>
      </li>
    {/each}
    {#each mind as finding (finding.code + finding.about)}
      {@const mends = mendsOf(finding)}
      <li class="border-b border-line-soft bg-ochre-pale px-3.5 py-1.5 last:border-b-0">
        <div class="flex flex-wrap justify-between gap-x-3">
          <span>{finding.sentence}</span>
          <span class="flex flex-wrap gap-x-3">
            {#if finding.people}
              <button type="button" class={quiet} onclick={() => onshow(people(finding))}
                >Show them</button
              >
            {/if}
            {#if mends.includes('fallback')}
              <button type="button" class={quiet} onclick={() => (filling = finding.about)}
                >Set a fallback</button
              >
            {/if}
            {#if mends.includes('names')}
              <button type="button" class={quiet} onclick={() => (naming = finding.code)}
                >Correct</button
              >
            {/if}
            {#if mends.includes('leave out')}
              <button type="button" class={quiet} onclick={() => leave(finding)}>Leave out</button>
            {/if}
          </span>
        </div>
        {#if filling === finding.about && mends.includes('fallback')}
          <FallbackForm {writing} field={finding.about} onclose={() => (filling = null)} />
        {/if}
      </li>
    {/each}
  </ul>
{/if}
<NamesDialog {writing} bind:code={naming} />
