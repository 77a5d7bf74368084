<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { MailTrialBegun } from '$lib/api/types';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  /** After that it is said what may be wrong; it is looked for on. */
  const PATIENCE_SECONDS = 60;

  let begun = $state.raw<MailTrialBegun | null>(null);
  let sending = $state(false);
  let seconds = $state(0);

  const trial = createQuery(() => ({
    queryKey: ['mail-trial', begun?.id],
    queryFn: () =>
      answer(api.GET('/api/mail-trials/{id}', { params: { path: { id: begun?.id ?? 0 } } })),
    enabled: begun !== null && !begun.refused,
    refetchInterval: (query) => (query.state.data?.cameAt ? false : 1000)
  }));
  const came = $derived(!!trial.data?.cameAt);

  $effect(() => {
    if (!begun || came) return;
    const tick = setInterval(() => seconds++, 1000);
    return () => clearInterval(tick);
  });

  async function send() {
    sending = true;
    try {
      seconds = 0;
      begun = await answer(api.POST('/api/mail-trials'));
    } catch (error) {
      notices.fail(error);
    } finally {
      sending = false;
    }
  }
</script>

<section class="panel flex flex-col gap-2 p-4" aria-label="There and back">
  <h2 class="text-[1rem]">There and back</h2>
  <p class="text-[0.9rem] text-soft">
    One mail goes to where what cannot be delivered comes back, and must turn up in the mailbox.
    Another goes to you.
  </p>
  <div>
    <HouseButton disabled={sending} onclick={send}>Send both</HouseButton>
  </div>
  <div role="status" class="flex flex-col gap-1">
    {#if begun?.refused}
      <p class="text-brick">The mail server does not take it: {begun.refused}</p>
    {:else if begun && came}
      <p>It came back: mails leave, and the mailbox is read.</p>
      <p class="text-soft">The other is on its way to {begun.own}; look for it there.</p>
    {:else if begun}
      <p>On its way to <span class="break-all">{begun.to}</span> …</p>
      {#if seconds > PATIENCE_SECONDS}
        <p class="text-brick">
          It has not come back yet. Either mail to the mail domain goes elsewhere (see its MX
          record), or the mailbox does not take addresses with a plus in them.
        </p>
      {/if}
    {/if}
  </div>
</section>
