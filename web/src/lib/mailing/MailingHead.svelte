<script lang="ts">
  import type { CheckResult } from '$lib/api/types';
  import { count } from '$lib/format/numbers';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Progress from '$lib/ui/Progress.svelte';
  import Tally from '$lib/ui/Tally.svelte';
  import type { Writing } from '$lib/draft/writing.svelte';
  import CopyMenu from '$lib/message/CopyMenu.svelte';
  import { checkParts } from '$lib/check/checkParts';

  interface Props {
    writing: Writing;
    check: CheckResult | undefined;
    /** How far a long look has come. */
    progress: { checked: number; of: number } | null;
    /** The part of the tally that alone is listed. */
    chosen: string | null;
    editable: boolean;
    busy: boolean;
    mayCopy: boolean;
    onchoose: (part: string) => void;
    oncopy: (colleague: number | null) => void;
    onrelease: () => void;
  }

  let {
    writing,
    check,
    progress,
    chosen,
    editable,
    busy,
    mayCopy,
    onchoose,
    oncopy,
    onrelease
  }: Props = $props();
</script>

<div class="flex flex-wrap items-center gap-x-4 gap-y-2">
  <input
    class="[field-sizing:content] max-w-[26rem] min-w-40 flex-initial rounded-md border-transparent bg-transparent px-1 py-0.5 font-heading text-[1.4rem] font-bold hover:border-line focus:border-kelp-mid"
    aria-label="Name of the mailing"
    readonly={!editable}
    bind:value={writing.name}
    oninput={() => writing.changed()}
  />
  <div class="min-w-0 flex-[1_1_20rem]">
    {#if check}
      <Tally label="The audience" parts={checkParts(check)} {chosen} {onchoose} />
    {/if}
    {#if progress}
      <Progress label="People looked at" value={progress.checked} of={progress.of} />
    {/if}
  </div>
  {#if editable}
    <CopyMenu disabled={busy || !mayCopy} {oncopy} />
    <HouseButton weight="main" onclick={onrelease} disabled={busy} shortcut="r">
      Release {check ? count(check.ready) : ''}…
    </HouseButton>
  {/if}
</div>
