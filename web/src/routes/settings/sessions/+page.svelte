<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { SignedIn } from '$lib/api/types';
  import { dayAndTime } from '$lib/format/dates';
  import ChangePassword from '$lib/session/ChangePassword.svelte';
  import SecondFactor from '$lib/session/SecondFactor.svelte';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';

  const queries = useQueryClient();
  const query = createQuery(() => ({
    queryKey: ['sessions'],
    queryFn: () => answer(api.GET('/api/sessions'))
  }));
  const zone = $derived(session.colleague?.zone ?? 'UTC');
  const others = $derived((query.data ?? []).filter((s) => !s.current));

  async function end(ended: SignedIn[]) {
    try {
      for (const one of ended) {
        await answer(api.DELETE('/api/sessions/{id}', { params: { path: { id: one.id } } }));
      }
      notices.say('Whoever was there has to sign in again.');
    } catch (error) {
      notices.fail(error);
    }
    await queries.invalidateQueries({ queryKey: ['sessions'] });
  }
</script>

<PageHead
  title="Your password and sessions"
  words="A session ends a day after you signed in there. End what you do not know, and tell an administrator."
>
  {#snippet actions()}
    {#if others.length > 1}
      <HouseButton onclick={() => end(others)}>Sign out everywhere else</HouseButton>
    {/if}
  {/snippet}
</PageHead>
{#if query.isError}<Trouble error={query.error} />{/if}
<ul class="panel max-w-3xl divide-y divide-line-soft">
  {#each query.data ?? [] as one (one.id)}
    <li class="flex items-center justify-between gap-4 px-4 py-2.5">
      <div>
        <p class="font-semibold">
          {one.current ? 'Here' : `Signed in ${dayAndTime(one.begunAt, zone)}`}
        </p>
        <p class="text-soft">
          {one.current
            ? `since ${dayAndTime(one.begunAt, zone)}`
            : `last used ${dayAndTime(one.usedAt, zone)}`}
        </p>
      </div>
      {#if !one.current}<HouseButton onclick={() => end([one])}>Sign out there</HouseButton>{/if}
    </li>
  {/each}
</ul>
<ChangePassword onchanged={() => queries.invalidateQueries({ queryKey: ['sessions'] })} />
<SecondFactor />
