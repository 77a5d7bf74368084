<script lang="ts">
  import type { LabelFinding, PrintRun } from '$lib/api/types';
  import { count } from '$lib/format/numbers';

  interface Props {
    run: PrintRun;
    onlook: (finding: LabelFinding) => void;
  }

  let { run, onlook }: Props = $props();

  const grave = (finding: LabelFinding) => ['TOO_LONG', 'LETTERS', 'EMPTY'].includes(finding.kind);
</script>

<section aria-label="To look at" class="min-h-0">
  <h2 class="text-[1.07rem]">
    {run.findingCount === 0 ? 'Nothing to look at' : `${count(run.findingCount)} to look at`}
  </h2>
  {#if run.findingCount === 0}
    <p class="text-soft">Every label fits as it was asked for.</p>
  {/if}
  <ul class="mt-1 flex flex-col">
    {#each run.findings as finding, i (i)}
      <li>
        <button
          type="button"
          class="min-h-6 w-full rounded px-1.5 py-1 text-left hover:bg-kelp-pale"
          onclick={() => onlook(finding)}
        >
          <span class="font-semibold">{finding.name}</span>
          <span class={grave(finding) ? 'text-brick' : 'text-soft'}>{finding.words}</span>
        </button>
      </li>
    {/each}
  </ul>
  {#if run.findingCount > run.findings.length}
    <p class="text-soft">The gravest {count(run.findings.length)} are listed.</p>
  {/if}
</section>
