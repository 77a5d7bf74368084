<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { colleaguesQuery } from '$lib/api/queries';
  import type { ColleagueName, MadeLink } from '$lib/api/types';
  import ChangeDialog from '$lib/colleague/ChangeDialog.svelte';
  import ColleagueRow from '$lib/colleague/ColleagueRow.svelte';
  import LeaveDialog from '$lib/colleague/LeaveDialog.svelte';
  import DemandFactor from '$lib/colleague/DemandFactor.svelte';
  import InviteDialog from '$lib/colleague/InviteDialog.svelte';
  import MadeLinkBand from '$lib/colleague/MadeLinkBand.svelte';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';

  const queries = useQueryClient();
  const query = createQuery(() => ({ ...colleaguesQuery(), staleTime: 0 }));
  const mayChange = $derived(session.may('COLLEAGUES'));
  let inviting = $state(false);
  let changing = $state.raw<ColleagueName | null>(null);
  let leaving = $state.raw<ColleagueName | null>(null);
  let made = $state.raw<{ name: string; link: MadeLink } | null>(null);
  /** Who is there first, then who has left. */
  const listed = $derived([...(query.data ?? [])].sort((a, b) => Number(a.off) - Number(b.off)));

  const refresh = () => queries.invalidateQueries({ queryKey: colleaguesQuery().queryKey });

  async function act(work: () => Promise<unknown>, said: string) {
    try {
      await work();
      if (said) notices.say(said);
    } catch (error) {
      notices.fail(error);
    }
    await refresh();
  }

  const newLink = ({ id, name }: ColleagueName) =>
    act(async () => {
      const params = { path: { id } };
      const link = await answer(api.POST('/api/colleagues/{id}/password-link', { params }));
      made = { name, link };
    }, '');

  const signOut = ({ id, name }: ColleagueName) =>
    act(
      () => answer(api.DELETE('/api/colleagues/{id}/sessions', { params: { path: { id } } })),
      `${name} is signed out everywhere, and may sign in again.`
    );

  const letIn = ({ id, name }: ColleagueName) =>
    act(
      () => answer(api.DELETE('/api/colleagues/{id}/off', { params: { path: { id } } })),
      `${name} may sign in again.`
    );
</script>

<PageHead title="Colleagues" words={mayChange ? '' : session.why('COLLEAGUES')}>
  {#snippet actions()}
    {#if mayChange}
      <HouseButton weight="main" onclick={() => (inviting = true)}>Invite a colleague</HouseButton>
    {/if}
  {/snippet}
</PageHead>
{#if query.isError}<Trouble error={query.error} onretry={() => query.refetch()} />{/if}
{#if made}
  <MadeLinkBand name={made.name} link={made.link} onclose={() => (made = null)} />
{/if}
{#if mayChange}<DemandFactor colleagues={query.data ?? []} />{/if}
<ul class="panel divide-y divide-line-soft" aria-label="Colleagues">
  {#each listed as colleague (colleague.id)}
    <ColleagueRow
      {colleague}
      {mayChange}
      isMe={colleague.id === session.colleague?.id}
      onchange={() => (changing = colleague)}
      onlink={() => newLink(colleague)}
      onsignout={() => signOut(colleague)}
      onleave={() => (leaving = colleague)}
      onletin={() => letIn(colleague)}
    />
  {/each}
</ul>
<InviteDialog
  bind:open={inviting}
  colleagues={query.data ?? []}
  onmade={(name, link) => ((made = { name, link }), void refresh())}
/>
{#if changing}
  {#key changing.id}
    <ChangeDialog of={changing} onclose={() => (changing = null)} onchanged={refresh} />
  {/key}
{/if}
{#if leaving}
  {#key leaving.id}
    <LeaveDialog
      of={leaving}
      colleagues={query.data ?? []}
      onclose={() => (leaving = null)}
      onleft={refresh}
    />
  {/key}
{/if}
