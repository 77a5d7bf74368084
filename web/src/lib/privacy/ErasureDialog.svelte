<script lang="ts">
  import { goto } from '$app/navigation';
  import { answer, api } from '$lib/api/client';
  import Ask from '$lib/ui/Ask.svelte';
  import DayField from '$lib/ui/DayField.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { Sending } from '$lib/ui/sending.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';

  interface Props {
    open: boolean;
    personId: number;
  }

  let { open = $bindable(), personId }: Props = $props();
  const queries = useQueryClient();
  const path = $derived({ params: { path: { id: personId } } });
  const look = createQuery(() => ({
    queryKey: ['erasure', personId],
    queryFn: () => answer(api.GET('/api/people/{id}/erasure', path)),
    enabled: open,
    staleTime: 0
  }));
  let askedOn = $state('');
  let keepOut = $state(true);
  let sure = $state(false);
  const sending = new Sending();
  const form = $props.id();

  const erase = (event: SubmitEvent) =>
    sending.send(event, async () => {
      const { number } = await answer(
        api.POST('/api/people/{id}/erasure', {
          ...path,
          body: { askedOn: askedOn || null, neverAgain: keepOut }
        })
      );
      open = false;
      await goto('/settings/privacy');
      await queries.invalidateQueries();
      notices.say(`They are erased. Certificate no. ${number} is ready to download.`);
    });
</script>

<Ask bind:open title={`Erase ${look.data?.name ?? '…'} for good`}>
  {#if look.isError}
    <Trouble error={look.error} onretry={() => look.refetch()} />
  {:else if look.data}
    <p>
      Their record and all that hangs on it go, in one act that nobody can take back. Messages that
      are still to leave are withdrawn. Past mailings count as before.
    </p>
    {#if look.data.figures.length}
      <dl class="mt-3 grid max-h-56 grid-cols-[1fr_auto] gap-x-4 gap-y-0.5 overflow-y-auto">
        {#each look.data.figures as figure (figure.what)}
          <dt>{figure.what}</dt>
          <dd class="text-right tabular-nums">{figure.count}</dd>
        {/each}
      </dl>
      <p class="mt-1 text-[0.87rem] text-soft">
        What colleagues keep private is not counted here, and goes as well.
      </p>
    {/if}
    <form id={form} class="mt-4 flex flex-col gap-2" onsubmit={erase}>
      <div class="flex flex-wrap items-center gap-2">
        <span>They asked for it on</span>
        <DayField
          label="They asked for it on"
          value={askedOn}
          lean="BACK"
          onchange={(day) => (askedOn = day)}
        />
      </div>
      {#if look.data.keepsAddresses}
        <p class="text-soft">
          They asked not to be written to: of each address a mark is kept, from which nobody can
          tell it, so that it is not written to should it come back.
        </p>
      {:else}
        <label class="flex items-start gap-2">
          <input type="checkbox" class="mt-1 text-kelp" bind:checked={keepOut} />
          <span
            >Never write to their addresses again
            <span class="text-soft">— by a mark from which nobody can tell them</span></span
          >
        </label>
      {/if}
      <label class="flex items-start gap-2">
        <input type="checkbox" class="mt-1 text-kelp" bind:checked={sure} />
        <span>This is the right person, and nothing of this is needed any more.</span>
      </label>
      {#if sending.of('askedOn')}<p class="text-brick" role="alert">{sending.of('askedOn')}</p>{/if}
    </form>
  {/if}
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Keep them</HouseButton>
    <HouseButton weight="grave" type="submit" {form} disabled={!sure || !look.data || sending.busy}
      >Erase for good</HouseButton
    >
  {/snippet}
</Ask>
