<script lang="ts">
  import { instead } from '$lib/api/instead';
  import { answer, api } from '$lib/api/client';
  import { rolesQuery } from '$lib/api/queries';
  import type { HouseRole } from '$lib/api/types';
  import AddRoleDialog from '$lib/role/AddRoleDialog.svelte';
  import LookDialog from '$lib/role/LookDialog.svelte';
  import RoleGrid from '$lib/role/RoleGrid.svelte';
  import { changedOf } from '$lib/role/roles';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { untrack } from 'svelte';

  const queries = useQueryClient();
  const query = createQuery(() => ({ ...rolesQuery(), staleTime: 0, refetchOnWindowFocus: false }));
  const mayChange = $derived(session.may('COLLEAGUES'));
  const kept = $derived(query.data?.roles ?? []);
  let drafts = $state<HouseRole[]>([]);
  /** What the drafts began from. */
  let seen: HouseRole[] = [];
  let only = $state<number | null>(null);
  let adding = $state(false);
  let looking = $state<number | null>(null);
  /** As the house has it now, whatever is typed. */
  const lookedAt = $derived(kept.find((role) => role.id === looking));
  let busy = $state(false);
  const changed = $derived(changedOf(drafts, kept));

  /** What is typed stays: only what nobody has changed here follows the house. */
  $effect(() => {
    const now = kept;
    const mine = untrack(() => changedOf($state.snapshot(drafts), seen));
    drafts = now.map((role) => structuredClone(mine.find((d) => d.id === role.id) ?? role));
    only = untrack(() => now.find((r) => r.id === only) ?? now[0])?.id ?? null;
    seen = now;
  });

  async function keep() {
    busy = true;
    try {
      for (const { id, name, rights, limits } of $state.snapshot(changed)) {
        const params = { path: { id } };
        await answer(api.PUT('/api/roles/{id}', { params, body: { name, rights, limits } }));
      }
      notices.say('It holds from the next thing they do.');
    } catch (error) {
      notices.fail(error);
    }
    await refresh();
    busy = false;
  }

  async function refresh() {
    await Promise.all([queries.invalidateQueries({ queryKey: ['roles'] }), session.load()]);
  }

  async function remove({ id, name }: HouseRole) {
    try {
      await answer(api.DELETE('/api/roles/{id}', { params: { path: { id } } }));
      notices.say(`There is no role called “${name}” any more.`);
    } catch (error) {
      notices.fail(error);
    }
    await refresh();
  }
</script>

<PageHead
  title="Roles"
  words={mayChange ? 'What each may do, and how far.' : session.why('COLLEAGUES')}
>
  {#snippet actions()}
    {#if mayChange}
      {#if changed.length}
        <HouseButton weight="quiet" onclick={() => (drafts = structuredClone(kept))}
          >As it was</HouseButton
        >
        <HouseButton weight="main" disabled={busy} onclick={keep}>Keep the changes</HouseButton>
      {/if}
      <HouseButton onclick={() => (adding = true)}>Add a role</HouseButton>
    {/if}
  {/snippet}
</PageHead>
{#if instead(query)}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if query.data}
  <label class="flex items-center gap-2 lg:hidden">
    Role
    <select class="rounded-lg border-line bg-card py-1" bind:value={only}>
      {#each drafts as role (role.id)}<option value={role.id}>{role.name}</option>{/each}
    </select>
  </label>
  <section class="panel overflow-x-auto">
    <RoleGrid
      rows={query.data.rights}
      bind:roles={drafts}
      {mayChange}
      {only}
      onlook={(role) => (looking = role.id)}
      onremove={remove}
    />
  </section>
{/if}
<AddRoleDialog bind:open={adding} roles={kept} onadded={(role) => ((only = role.id), refresh())} />
{#if lookedAt}<LookDialog role={lookedAt} onclose={() => (looking = null)} />{/if}
