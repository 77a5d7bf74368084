<script lang="ts">
  import type { FindingBody, Look } from '$lib/api/types';
  import { blockers, notices, type Which } from './lookParts';

  interface Props {
    look: Look;
    onshow: (which: Which) => void;
  }

  let { look, onshow }: Props = $props();
  const stop = $derived(blockers(look));
  const mind = $derived(notices(look));

  function people(finding: FindingBody): Which {
    return { finding: finding.code, about: finding.about, words: note(finding) };
  }

  function note(finding: FindingBody): string {
    return finding.sentence.replace(/^[\d,]+ (people|person) /, '').replace(/[;.].*$/, '');
  }
</script>

{#if stop.length + mind.length}
  <ul class="border-t border-line text-[0.9rem]" aria-label="What the check found">
    {#each stop as finding (finding.code + finding.about + finding.sentence)}
      <li class="border-b border-line-soft bg-brick-pale px-3.5 py-1.5 last:border-b-0">
        <strong class="text-brick">Stops the release.</strong>
        {finding.sentence}
      </li>
    {/each}
    {#each mind as finding (finding.code + finding.about)}
      <li
        class="flex justify-between gap-3 border-b border-line-soft bg-ochre-pale px-3.5 py-1.5 last:border-b-0"
      >
        <span>{finding.sentence}</span>
        <button
          type="button"
          class="font-semibold whitespace-nowrap text-ochre hover:underline"
          onclick={() => onshow(people(finding))}>Show them</button
        >
      </li>
    {/each}
  </ul>
{/if}
