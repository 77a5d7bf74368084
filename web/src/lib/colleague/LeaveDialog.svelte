<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { ColleagueName } from '$lib/api/types';
  import { count, messages } from '$lib/format/numbers';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { ownedWords, takesOver } from './colleagues';

  interface Props {
    of: ColleagueName;
    colleagues: ColleagueName[];
    onclose: () => void;
    onleft: () => void;
  }

  const MOST_NAMED = 8;

  let { of, colleagues, onclose, onleft }: Props = $props();
  const query = createQuery(() => ({
    queryKey: ['belongings', of.id],
    queryFn: () =>
      answer(api.GET('/api/colleagues/{id}/belongings', { params: { path: { id: of.id } } })),
    staleTime: 0
  }));
  const owned = $derived(query.data?.owned ?? []);
  const waiting = $derived(query.data?.waiting ?? []);
  const heirs = $derived(colleagues.filter(takesOver(of)));
  let to = $state<number | null>(null);
  let fate = $state<'STAY' | 'HAND_OVER' | 'WITHDRAW'>('STAY');
  let busy = $state(false);
  const heir = $derived(heirs.find((c) => c.id === to));

  async function leave(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    try {
      const params = { path: { id: of.id } };
      const body = { to, waiting: fate === 'HAND_OVER' && !heir ? ('STAY' as const) : fate };
      await answer(api.PUT('/api/colleagues/{id}/off', { params, body }));
      notices.say(
        heir
          ? `${of.name} is signed out everywhere; ${heir.name} takes over.`
          : `${of.name} is signed out everywhere and signs in no more.`
      );
      onleft();
      onclose();
    } catch (error) {
      notices.fail(error);
    } finally {
      busy = false;
    }
  }
</script>

<Ask bind:open={() => true, (is) => !is && onclose()} title={`Switch off ${of.name}`}>
  <form id="leave" class="flex flex-col gap-4" onsubmit={leave}>
    {#if query.isError}<Trouble error={query.error} onretry={() => query.refetch()} />{/if}
    {#if owned.length}
      <div class="flex flex-col gap-1">
        <p>Theirs: {ownedWords(owned)}.</p>
        <label class="flex flex-wrap items-center gap-2">
          Who takes that over
          <select class="rounded-lg border-line bg-card py-1 ps-2.5 pe-8" bind:value={to}>
            <option value={null}>nobody; it stays theirs</option>
            {#each heirs as each (each.id)}<option value={each.id}>{each.name}</option>{/each}
          </select>
        </label>
      </div>
    {/if}
    {#if waiting.length}
      <fieldset class="flex flex-col gap-1.5">
        <legend class="mb-1">Released by them, and still at work</legend>
        <ul class="mb-1 ps-4 text-[0.93rem]">
          {#each waiting.slice(0, MOST_NAMED) as mailing (mailing.id)}
            <li>
              {mailing.name}
              <span class="text-soft"
                >{mailing.toLeave
                  ? `${messages(mailing.toLeave)} to leave`
                  : 'its rules are at work'}</span
              >
            </li>
          {/each}
          {#if waiting.length > MOST_NAMED}
            <li class="text-soft">and {count(waiting.length - MOST_NAMED)} more</li>
          {/if}
        </ul>
        <label class="flex items-baseline gap-2">
          <input type="radio" class="text-kelp" value="STAY" bind:group={fate} />
          Messages leave as they were released; rules stand still
        </label>
        {#if heir}
          <label class="flex items-baseline gap-2">
            <input type="radio" class="text-kelp" value="HAND_OVER" bind:group={fate} />
            {heir.name} takes them over, as their sender
          </label>
        {/if}
        <label class="flex items-baseline gap-2">
          <input type="radio" class="text-kelp" value="WITHDRAW" bind:group={fate} />
          What has not left is withdrawn
        </label>
      </fieldset>
    {/if}
    <p class="text-soft">
      They are signed out everywhere at once. What is private to them stays unseen{fate ===
      'WITHDRAW'
        ? ', and is withdrawn too'
        : ''}.
    </p>
  </form>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={onclose}>Leave as it is</HouseButton>
    <HouseButton weight="main" type="submit" form="leave" disabled={busy || !query.isSuccess}
      >Switch off</HouseButton
    >
  {/snippet}
</Ask>
