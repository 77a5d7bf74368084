<script lang="ts">
  import type { FindingBody, CheckResult } from '$lib/api/types';
  import { notices as foot } from '$lib/ui/notices.svelte';
  import type { Writing } from '$lib/draft/writing.svelte';
  import FallbackForm from './FallbackForm.svelte';
  import { blockers, notices, type Which } from './checkParts';
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

  const quiet = 'font-semibold whitespace-nowrap text-ochre hover:underline';
</script>

{#if stop.length + mind.length}
  <ul
    class="max-h-44 flex-none overflow-y-auto border-t border-line text-[0.9rem]"
    aria-label="What the check found"
  >
    {#each stop as finding (finding.code + finding.about + finding.sentence)}
      <li class="border-b border-line-soft bg-brick-pale px-3.5 py-1.5 last:border-b-0">
        <strong class="text-brick">Stops the release.</strong>
        {finding.sentence}
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
