<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { useQueryClient } from '@tanstack/svelte-query';
  import { Checkbox, Input } from 'flowbite-svelte';

  interface Props {
    open: boolean;
  }

  let { open = $bindable() }: Props = $props();

  const queries = useQueryClient();
  let address = $state('');
  let note = $state('');
  let asked = $state(false);

  async function add() {
    const body = { address, note, reason: asked ? 'asked' : 'by hand' };
    try {
      await answer(api.POST('/api/do-not-write', { body }));
      void queries.invalidateQueries();
      notices.say(`${address.trim()} gets nothing from us any more.`);
      open = false;
      address = note = '';
      asked = false;
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<Ask bind:open title="Never write to an address">
  <form
    id="add-address"
    class="flex flex-col gap-3"
    onsubmit={(event) => {
      event.preventDefault();
      void add();
    }}
  >
    <label class="flex flex-col gap-1">
      Address
      <Input bind:value={address} required data-autofocus autocomplete="off" />
    </label>
    <label class="flex flex-col gap-1">
      Note
      <Input bind:value={note} maxlength={500} autocomplete="off" />
    </label>
    <Checkbox bind:checked={asked}>They asked for it themselves: nobody can lift it</Checkbox>
  </form>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    <HouseButton weight="main" type="submit" form="add-address">Add the address</HouseButton>
  {/snippet}
</Ask>
