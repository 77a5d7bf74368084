<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { useQueryClient } from '@tanstack/svelte-query';

  interface Props {
    /** How many are there. */
    count: number;
  }

  let { count }: Props = $props();
  const queries = useQueryClient();
  let asking = $state(false);
  let busy = $state(false);

  async function act(work: () => Promise<unknown>, words: string) {
    busy = true;
    try {
      await work();
      asking = false;
      await queries.invalidateQueries();
      notices.say(words);
    } catch (error) {
      notices.fail(error);
    } finally {
      busy = false;
    }
  }

  const add = () =>
    act(
      () => answer(api.POST('/api/set-up/made-up-people')),
      'Ten made-up people are there. No mail reaches them: their addresses are nobody’s.'
    );
  const throwAway = () =>
    act(() => answer(api.DELETE('/api/set-up/made-up-people')), 'The made-up people are gone.');
</script>

<p class="mt-1">
  {#if count === 0}
    <HouseButton weight="quiet" disabled={busy} onclick={add}
      >Or try it with ten made-up people</HouseButton
    >
  {:else}
    <span class="text-soft">{count} made-up people are there.</span>
    <HouseButton weight="quiet" disabled={busy} onclick={() => (asking = true)}
      >Throw them away…</HouseButton
    >
  {/if}
</p>
<Ask bind:open={asking} title="Throw the made-up people away">
  <p>
    They go, with all that was tried with them: messages, answers, tasks. Mailings to them stay, and
    count as before.
  </p>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (asking = false)}>Keep them</HouseButton>
    <HouseButton weight="grave" disabled={busy} onclick={throwAway}>Throw them away</HouseButton>
  {/snippet}
</Ask>
