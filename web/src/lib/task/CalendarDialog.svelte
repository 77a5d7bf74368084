<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';

  interface Props {
    open: boolean;
  }

  let { open = $bindable() }: Props = $props();

  const queries = useQueryClient();
  const query = createQuery(() => ({
    queryKey: ['task-calendar'],
    queryFn: () => answer(api.GET('/api/tasks/calendar')),
    enabled: open
  }));
  const address = $derived(query.data?.address ?? null);

  async function act(what: () => Promise<unknown>) {
    try {
      await what();
      await queries.invalidateQueries({ queryKey: ['task-calendar'] });
    } catch (error) {
      notices.fail(error);
    }
  }

  const renew = () => act(() => answer(api.POST('/api/tasks/calendar')));
  const remove = () => act(() => answer(api.DELETE('/api/tasks/calendar')));
</script>

<Ask bind:open title="Your tasks in your calendar">
  {#if address}
    <p class="mb-2">
      Let your calendar program subscribe to this address. It shows your open tasks on their days,
      and follows what changes. Whoever knows the address sees them.
    </p>
    <input
      type="text"
      class="w-full rounded-lg border-line bg-card px-3 py-1.5"
      readonly
      aria-label="Address of the calendar"
      value={address}
      onfocus={(event) => event.currentTarget.select()}
    />
  {:else if query.isSuccess}
    <p>
      A calendar program can show your open tasks on their days. For that they get an address of
      their own, which nobody can guess.
    </p>
  {/if}
  {#snippet actions()}
    {#if address}
      <HouseButton weight="grave" onclick={remove}>Stop sharing the calendar</HouseButton>
      <HouseButton onclick={renew}>A new address</HouseButton>
    {:else}
      <HouseButton weight="main" onclick={renew}>Make the address</HouseButton>
    {/if}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Close</HouseButton>
  {/snippet}
</Ask>
