<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { HouseRole } from '$lib/api/types';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { Sending } from '$lib/ui/sending.svelte';
  import { Input } from 'flowbite-svelte';

  interface Props {
    open: boolean;
    roles: HouseRole[];
    onadded: (role: HouseRole) => void;
  }

  let { open = $bindable(), roles, onadded }: Props = $props();
  const sending = new Sending();
  let name = $state('');
  let like = $state<number | null>(null);

  const add = (event: SubmitEvent) =>
    sending.send(event, async () => {
      const model = roles.find((r) => r.id === like);
      const limits = {
        mostAtOnce: null,
        nodAbove: null,
        mostADay: null,
        mostMailsADay: null,
        mostTextsADay: null,
        mostNoticesADay: null,
        mostRows: null,
        ownPeople: false
      };
      const added = await answer(
        api.POST('/api/roles', {
          body: { name, rights: model?.rights ?? [], limits: model?.limits ?? limits }
        })
      );
      open = false;
      name = '';
      onadded(added);
    });
</script>

<Ask bind:open title="Add a role">
  <form id="add-role" class="flex flex-col gap-3" onsubmit={add}>
    <label class="flex flex-col gap-1">
      Name
      <Input bind:value={name} required maxlength={40} data-autofocus autocomplete="off" />
      {#if sending.of('name')}
        <span class="text-brick" role="alert">{sending.of('name')}</span>
      {/if}
    </label>
    <label class="flex flex-col gap-1">
      It begins with what this one may
      <select class="rounded-lg border-line bg-card" bind:value={like}>
        <option value={null}>nothing but to look</option>
        {#each roles as role (role.id)}<option value={role.id}>{role.name}</option>{/each}
      </select>
    </label>
  </form>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    <HouseButton weight="main" type="submit" form="add-role" disabled={sending.busy}
      >Add</HouseButton
    >
  {/snippet}
</Ask>
