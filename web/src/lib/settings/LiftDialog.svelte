<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { DoNotWriteEntry } from '$lib/api/types';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { useQueryClient } from '@tanstack/svelte-query';
  import { Input } from 'flowbite-svelte';

  interface Props {
    open: boolean;
    entry: DoNotWriteEntry;
  }

  let { open = $bindable(), entry }: Props = $props();

  const queries = useQueryClient();
  let note = $state('');

  async function lift() {
    try {
      await answer(api.POST('/api/do-not-write/lift', { body: { address: entry.address, note } }));
      void queries.invalidateQueries();
      notices.say(`${entry.address} can be written to again.`);
      open = false;
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<Ask bind:open title={`Write to ${entry.address} again?`}>
  <form
    id="lift-address"
    onsubmit={(event) => {
      event.preventDefault();
      void lift();
    }}
  >
    <p class="mb-3">It is on the list for: {entry.reason}. Say why it may be written to again.</p>
    <Input
      bind:value={note}
      aria-label="Why"
      maxlength={500}
      required
      data-autofocus
      autocomplete="off"
    />
  </form>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    <HouseButton weight="main" type="submit" form="lift-address" disabled={!note.trim()}
      >Lift it</HouseButton
    >
  {/snippet}
</Ask>
