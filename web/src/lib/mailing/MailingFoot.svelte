<script lang="ts">
  import type { PlanView } from '$lib/api/types';
  import type { Writing } from '$lib/draft/writing.svelte';
  import FollowPanel from '$lib/followup/FollowPanel.svelte';
  import type { MailingActs } from '$lib/release/acts.svelte';
  import UnderWay from '$lib/release/UnderWay.svelte';
  import { session } from '$lib/session/session.svelte';
  import PlanLine from './PlanLine.svelte';

  interface Props {
    writing: Writing;
    sheet: PlanView | undefined;
    /** When the audience was last looked at; 0 for never. */
    looked: number;
    acts: MailingActs;
    editable: boolean;
    /** Whether it is what a narrow screen shows. */
    chosen: boolean;
  }

  let { writing, sheet, looked, acts, editable, chosen }: Props = $props();
</script>

<div
  class={`flex flex-none flex-col gap-3 max-lg:min-h-0 max-lg:flex-1 max-lg:overflow-y-auto ${chosen ? '' : 'max-lg:hidden'}`}
>
  {#if !writing.isDraft}<UnderWay mailing={writing.mailing} {acts} />{/if}
  {#if writing.isDraft || !writing.mailing.byRule}
    <div class="panel flex-none divide-y divide-line-soft">
      {#if writing.isDraft}<PlanLine {writing} {sheet} {looked} {editable} />{/if}
      <FollowPanel
        mailingId={writing.mailing.id}
        body={writing.body}
        since={writing.isDraft ? writing.revision + looked : 0}
        editable={session.may('WRITE_TO_ONE')}
        released={!writing.isDraft}
      />
    </div>
  {/if}
</div>
