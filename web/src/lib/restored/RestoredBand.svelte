<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { dayAndTime } from '$lib/format/dates';
  import { count } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';

  const queries = useQueryClient();
  const query = createQuery(() => ({
    queryKey: ['restored'],
    queryFn: () => answer(api.GET('/api/restored')),
    refetchInterval: (asked) => (asked.state.data?.held ? 5_000 : false)
  }));
  const standing = $derived(query.data?.held ? query.data : null);
  let asking = $state(false);

  async function goOn() {
    try {
      const { inDoubt } = await answer(api.POST('/api/restored/go-on'));
      asking = false;
      void queries.invalidateQueries();
      notices.say(
        inDoubt === 0
          ? 'The house goes on.'
          : `The house goes on. ${count(inDoubt)} ${inDoubt === 1 ? 'message is' : 'messages are'} in doubt: settle them in the outbox.`
      );
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

{#if standing}
  <aside
    class="flex flex-none flex-wrap items-center gap-x-4 gap-y-1 rounded-lg bg-ochre-pale px-4 py-2"
    aria-label="Made of a backup"
  >
    <p class="min-w-64 flex-1">
      <strong>Nothing leaves.</strong> This house was made of a backup of {dayAndTime(
        standing.madeAt ?? '',
        session.zone
      )}.
      {session.may('SETTINGS')
        ? 'Say when it goes on here.'
        : `It waits for somebody to say that it goes on here. ${session.why('SETTINGS')}`}
    </p>
    {#if session.may('SETTINGS')}
      {#if standing.goesOnAt}
        <span class="text-soft">Series and rules catch up first: a minute.</span>
      {:else}
        <HouseButton onclick={() => (asking = true)}>It goes on here…</HouseButton>
      {/if}
    {/if}
  </aside>
  <Ask bind:open={asking} title="Does it go on here?">
    <p>
      If the other house still runs, both write to the same people: stop it first. What was due by
      now may have left there since the backup was made. It is not sent, but in doubt, and waits in
      the outbox for you to settle. Look at what was to be printed, too.
    </p>
    {#snippet actions()}
      <HouseButton weight="quiet" onclick={() => (asking = false)}>Not yet</HouseButton>
      <HouseButton weight="main" onclick={goOn}>The other is stopped: go on</HouseButton>
    {/snippet}
  </Ask>
{/if}
