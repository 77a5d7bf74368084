<script lang="ts">
  import { session } from '$lib/session/session.svelte';
  import Panel from '$lib/ui/Panel.svelte';

  interface Props {
    personId: number;
  }

  let { personId }: Props = $props();
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
</Panel>
