<script lang="ts">
  import ErasureDialog from './ErasureDialog.svelte';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Panel from '$lib/ui/Panel.svelte';

  interface Props {
    personId: number;
  }

  let { personId }: Props = $props();
  let erasing = $state(false);
</script>

<Panel title="What we hold">
  <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1 px-3.5 py-3">
    <p class="min-w-0 flex-1 text-soft">
      {session.may('EXPORT')
        ? 'Record, history, messages that went and came: in one file, as they may ask for it.'
        : session.why('EXPORT')}
    </p>
    {#if session.may('EXPORT')}
      <a
        class="min-h-6 font-semibold text-kelp hover:underline"
        href={`/api/people/${personId}/held.zip`}
        download>Download it</a
      >
    {/if}
  </div>
  {#if session.may('SETTINGS')}
    <div
      class="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-t border-line-soft px-3.5 py-3"
    >
      <p class="min-w-0 flex-1 text-soft">
        When they ask for it, all of it goes for good; past mailings count as before.
      </p>
      <HouseButton weight="quiet" onclick={() => (erasing = true)}>Erase them…</HouseButton>
    </div>
  {/if}
</Panel>
{#if erasing}<ErasureDialog bind:open={erasing} {personId} />{/if}
