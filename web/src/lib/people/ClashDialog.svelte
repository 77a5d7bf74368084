<script lang="ts">
  import type { ChangeTold } from '$lib/api/types';
  import { lately } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';

  interface Props {
    /** What somebody else changed, or null. */
    clash: ChangeTold | null;
    label: string;
    /** What one wrote oneself. */
    mine: string;
    onmine: () => void;
    ontheirs: () => void;
  }

  let { clash, label, mine, onmine, ontheirs }: Props = $props();
</script>

<Ask
  bind:open={() => clash !== null, (open) => !open && ontheirs()}
  title={`${clash?.by ?? ''} changed ${label.toLowerCase()} meanwhile`}
>
  {#if clash}
    <dl class="grid grid-cols-[8rem_1fr] gap-y-1.5">
      <dt class="text-soft">You saw</dt>
      <dd>{clash.before || '—'}</dd>
      <dt class="text-soft">{clash.by} wrote</dt>
      <dd>
        <strong>{clash.after || '—'}</strong>
        <span class="text-soft">{lately(clash.at, session.zone)}</span>
      </dd>
      <dt class="text-soft">You wrote</dt>
      <dd><strong>{mine || '—'}</strong></dd>
    </dl>
    <p class="mt-3 text-[0.93rem] text-soft">Nothing of yours is saved yet.</p>
  {/if}
  {#snippet actions()}
    <HouseButton onclick={ontheirs}>Keep theirs</HouseButton>
    <HouseButton weight="main" first onclick={onmine}>Put mine over it</HouseButton>
  {/snippet}
</Ask>
