<script lang="ts">
  import type { Look } from '$lib/api/types';
  import { count } from '$lib/format/numbers';
  import Act from '$lib/ui/Act.svelte';
  import Progress from '$lib/ui/Progress.svelte';
  import Tally from '$lib/ui/Tally.svelte';
  import type { Writing } from '$lib/draft/writing.svelte';
  import CopyMenu from '$lib/message/CopyMenu.svelte';
  import { lookParts } from '$lib/check/lookParts';

  interface Props {
    bench: Writing;
    look: Look | undefined;
    /** How far a long look has come. */
    progress: { looked: number; of: number } | null;
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
    bench,
    look,
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
    bind:value={bench.name}
    oninput={() => bench.changed()}
  />
  <div class="min-w-0 flex-[1_1_20rem]">
    {#if look}
      <Tally label="The audience" parts={lookParts(look)} {chosen} {onchoose} />
    {/if}
    {#if progress}
      <Progress label="People looked at" value={progress.looked} of={progress.of} />
    {/if}
  </div>
  {#if editable}
    <CopyMenu disabled={busy || !mayCopy} {oncopy} />
    <Act look="main" onclick={onrelease} disabled={busy} shortcut="r">
      Release {look ? count(look.ready) : ''}…
    </Act>
  {/if}
</div>
