<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { SignedUp } from '$lib/api/types';
  import { dayAndTime } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';

  interface Props {
    pageId: number;
  }

  let { pageId }: Props = $props();
  const queries = useQueryClient();
  const came = createQuery(() => ({
    queryKey: ['sign-up-people', pageId],
    queryFn: () =>
      answer(api.GET('/api/sign-up-pages/{id}/people', { params: { path: { id: pageId } } }))
  }));

  async function refresh() {
    await queries.invalidateQueries({ queryKey: ['sign-up-people'] });
    await queries.invalidateQueries({ queryKey: ['sign-up-pages'] });
  }

  async function settle(one: SignedUp, take: string[]) {
    try {
      const params = { path: { signUp: one.id } };
      const { batch } = await answer(
        api.POST('/api/sign-up-pages/people/{signUp}/settle', { params, body: { take } })
      );
      await refresh();
      const words = take.length > 0 ? 'What they said is on record.' : 'The record stays as it is.';
      notices.say(words, take.length > 0 ? () => void undo(batch) : undefined);
    } catch (error) {
      notices.fail(error);
    }
  }

  async function undo(batch: number) {
    try {
      await answer(api.POST('/api/changes/{id}/undo', { params: { path: { id: batch } } }));
      await refresh();
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

{#if came.error}
  <Trouble error={came.error} onretry={() => came.refetch()} />
{:else if came.data}
  {#if came.data.length === 0}
    <p class="px-3.5 py-3 text-soft">Nobody has confirmed yet.</p>
  {/if}
  <ul>
    {#each came.data as one (one.id)}
      <li class="border-b border-line-soft px-3.5 py-2 last:border-b-0">
        <div class="flex flex-wrap items-baseline gap-x-4">
          <a class="font-semibold text-kelp underline" href={`/people/${one.personId}`}
            >{one.name ?? one.address}</a
          >
          <span class="text-soft break-all">{one.address}</span>
          <span class="text-[0.87rem] text-soft">
            {one.wasKnown ? 'was on record' : 'new'} · confirmed {dayAndTime(
              one.confirmedAt,
              session.zone
            )} from {one.confirmedFrom} · agreed to version {one.consentVersion}
          </span>
        </div>
        {#each one.differs as differs (differs.field)}
          <p class="mt-1">
            {differs.label}: said <strong class="break-words">{differs.said}</strong>, on record
            <span class="break-words">{differs.kept}</span>
          </p>
        {/each}
        {#if one.differs.length > 0 && session.may('SIGN_UPS')}
          <div class="mt-1.5 flex flex-wrap gap-2">
            <HouseButton
              onclick={() =>
                settle(
                  one,
                  one.differs.map((d) => d.field)
                )}>Take what they said</HouseButton
            >
            <HouseButton weight="quiet" onclick={() => settle(one, [])}>Keep the record</HouseButton
            >
          </div>
        {/if}
      </li>
    {/each}
  </ul>
{/if}
