<script lang="ts">
  import type { CheckResult } from '$lib/api/types';
  import { count } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Progress from '$lib/ui/Progress.svelte';
  import Tally from '$lib/ui/Tally.svelte';
  import type { Writing } from '$lib/draft/writing.svelte';
  import CopyMenu from '$lib/message/CopyMenu.svelte';
  import StandingTally from '$lib/release/StandingTally.svelte';
  import MoreMenu from './MoreMenu.svelte';
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
    onuseagain: () => void;
    onsavetemplate: (name: string | null) => void;
    ondiscard: () => void;
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
    onrelease,
    onuseagain,
    onsavetemplate,
    ondiscard
  }: Props = $props();
  const mayWrite = $derived(session.may('WRITE_TO_ONE'));
</script>

<h1 class="sr-only">{writing.name}</h1>
<div class="flex items-center gap-x-3 gap-y-2 max-lg:flex-wrap">
  <input
    class="[field-sizing:content] max-w-56 min-w-32 flex-initial text-ellipsis xl:max-w-[26rem] rounded-md border-transparent bg-transparent px-1 py-0.5 font-heading text-[1.4rem] font-bold hover:border-line focus:border-kelp-mid"
    aria-label="Name of the mailing"
    title={writing.name}
    readonly={!editable}
    value={writing.name}
    oninput={(event) => writing.call(event.currentTarget.value)}
  />
  <div class="min-w-0 flex-1 max-lg:basis-full">
    {#if !writing.isDraft}
      <StandingTally mailingId={writing.mailing.id} />
    {:else if check}
      <Tally label="The audience" parts={checkParts(check)} {chosen} {onchoose} />
    {/if}
    {#if progress}
      <Progress label="People looked at" value={progress.checked} of={progress.of} />
    {/if}
  </div>
  {#if editable}
    <CopyMenu disabled={busy || !mayCopy} {oncopy} />
    <HouseButton weight="main" onclick={onrelease} disabled={busy} shortcut="Ctrl ⏎">
      <span class="whitespace-nowrap">Release {check ? count(check.ready) : ''}…</span>
    </HouseButton>
    <MoreMenu {writing} onsave={onsavetemplate} {ondiscard} />
  {:else if mayWrite && !writing.isDraft && !writing.mailing.byRule}
    <HouseButton onclick={onuseagain} disabled={busy}>Use again</HouseButton>
    <MoreMenu {writing} onsave={onsavetemplate} />
  {/if}
</div>
