<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { dayAndYear } from '$lib/format/dates';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { Sending } from '$lib/ui/sending.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import OwnPassword from './OwnPassword.svelte';
  import PaperCodes from './PaperCodes.svelte';
  import { session } from './session.svelte';
  import SetUpFactor from './SetUpFactor.svelte';

  const query = createQuery(() => ({
    queryKey: ['second-factor'],
    queryFn: () => answer(api.GET('/api/colleagues/me/second-factor')),
    staleTime: 0
  }));
  const sending = new Sending();
  let codes = $state.raw<string[]>([]);
  let wanted = $state<'codes' | 'off' | null>(null);
  let password = $state('');

  function show(made: string[]) {
    codes = made;
    wanted = null;
    password = '';
  }

  const go = (event: SubmitEvent) =>
    sending.send(event, async () => {
      const body = { password };
      if (wanted === 'codes') {
        show((await answer(api.POST('/api/colleagues/me/second-factor/codes', { body }))).codes);
      } else {
        await answer(api.POST('/api/colleagues/me/second-factor/off', { body }));
        show([]);
        notices.say('Your password alone lets you in again.');
      }
      await query.refetch();
    });
</script>

<section class="panel max-w-3xl px-4 py-3" aria-labelledby="second-factor">
  <h2 id="second-factor" class="mb-2 text-[1rem]">A second factor</h2>
  {#if codes.length}
    <PaperCodes {codes} onclose={() => ((codes = []), void query.refetch())} />
  {:else if query.isError}
    <Trouble error={query.error} onretry={() => query.refetch()} />
  {:else if query.data?.since}
    <p>
      Asked for since {dayAndYear(query.data.since, session.zone)}.
      {query.data.codesLeft === 1 ? 'One code' : `${query.data.codesLeft || 'No'} codes`} on paper left.
    </p>
    {#if wanted}
      <form class="mt-3 flex max-w-md flex-col gap-3" onsubmit={go}>
        <OwnPassword bind:password wrong={sending.of('password')} />
        <div class="flex gap-3">
          <HouseButton weight="main" type="submit" disabled={sending.busy}
            >{wanted === 'codes' ? 'Show new codes' : 'Ask for it no more'}</HouseButton
          >
          <HouseButton weight="quiet" onclick={() => (wanted = null)}>Leave it</HouseButton>
        </div>
      </form>
    {:else}
      <div class="mt-3 flex flex-wrap gap-3">
        <HouseButton onclick={() => (wanted = 'codes')}>New codes on paper</HouseButton>
        {#if query.data.demanded}
          <p class="self-center text-soft">Your house demands it of everyone.</p>
        {:else}
          <HouseButton onclick={() => (wanted = 'off')}>Take it off</HouseButton>
        {/if}
      </div>
    {/if}
  {:else if query.data}
    <SetUpFactor onset={show} />
  {/if}
</section>
{#if session.colleague?.secondFactorFirst && !codes.length && query.data?.since}
  <HouseButton weight="main" class="self-start" onclick={() => session.load()}>Go on</HouseButton>
{/if}
