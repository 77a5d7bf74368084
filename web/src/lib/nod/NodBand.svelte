<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { Writing } from '$lib/draft/writing.svelte';
  import { dayAndTime } from '$lib/format/dates';
  import { messages } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { Sending } from '$lib/ui/sending.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  interface Props {
    writing: Writing;
    /** Something was decided, after which the mailing may be another. */
    ondecided: () => Promise<void>;
  }

  let { writing, ondecided }: Props = $props();
  const params = $derived({ path: { id: writing.mailing.id } });
  const query = createQuery(() => ({
    queryKey: ['nod', writing.mailing.id, writing.mailing.version],
    queryFn: () => answer(api.GET('/api/mailings/{id}/nod', { params })),
    staleTime: 0
  }));
  const nod = $derived(query.data);
  const version = $derived(writing.mailing.version);
  const sending = new Sending();
  let before: string | undefined;
  // It was given elsewhere, and the mailing is no draft any more.
  $effect(() => {
    const now = nod?.standing;
    if (before === 'ASKED' && now === 'NONE') void ondecided();
    before = now;
  });
  let refusing = $state(false);
  let word = $state('');

  async function act(work: () => Promise<unknown>, said: string) {
    try {
      await work();
      notices.say(said);
    } catch (error) {
      notices.fail(error);
    }
    await Promise.all([query.refetch(), ondecided()]);
  }

  const give = () =>
    act(
      () => answer(api.POST('/api/mailings/{id}/nod/give', { params, body: { version } })),
      `${messages(nod?.people ?? 0)} released with your nod.`
    );

  const takeBack = () =>
    act(() => answer(api.DELETE('/api/mailings/{id}/nod', { params })), 'It is asked for no more.');

  const refuse = (event: SubmitEvent) =>
    sending.send(event, async () => {
      await answer(api.POST('/api/mailings/{id}/nod/refuse', { params, body: { version, word } }));
      notices.say(`${nod?.askedBy} is told.`);
      refusing = false;
      await query.refetch();
    });
</script>

{#if nod && nod.standing !== 'NONE'}
  <section
    class={`flex flex-wrap items-center gap-x-3 gap-y-1.5 rounded-lg px-3.5 py-2 ${nod.standing === 'REFUSED' ? 'bg-brick-pale' : 'bg-ochre-pale'}`}
    aria-label="The nod of a second colleague"
  >
    {#if nod.standing === 'ASKED' && nod.mine}
      <span>
        A nod to {messages(nod.people)} was asked for {nod.askedAt
          ? dayAndTime(nod.askedAt, session.zone)
          : ''}; nothing leaves before it is given. Whatever is changed wants another.
      </span>
      <HouseButton weight="quiet" onclick={takeBack}>Ask no more</HouseButton>
    {:else if nod.standing === 'ASKED'}
      <span>
        <strong>{nod.askedBy}</strong> asks for a second colleague’s nod to {messages(nod.people)}.
        {#if nod.refusal}{nod.refusal}{/if}
      </span>
      {#if !nod.refusal && !refusing}
        <HouseButton weight="main" onclick={give}>Nod, and let them go</HouseButton>
        <HouseButton onclick={() => (refusing = true)}>Give no nod…</HouseButton>
      {/if}
    {:else if nod.standing === 'REFUSED'}
      <span
        ><strong>{nod.decidedBy}</strong> gave no nod to this: “{nod.word}” Change it, or ask again.</span
      >
    {:else}
      <span>It was changed since a nod was asked for. Release asks for another.</span>
    {/if}
    {#if refusing}
      <form class="flex flex-wrap items-center gap-2" onsubmit={refuse}>
        <label class="flex items-center gap-2">
          Why not
          <!-- svelte-ignore a11y_autofocus -->
          <input
            class="w-72 rounded-lg border-line bg-card px-2 py-1"
            bind:value={word}
            required
            maxlength={500}
            autofocus
          />
        </label>
        <HouseButton weight="main" type="submit" disabled={sending.busy}
          >Tell {nod.askedBy}</HouseButton
        >
        <HouseButton weight="quiet" onclick={() => (refusing = false)}>Not yet</HouseButton>
        {#if sending.of('word')}
          <span class="text-brick" role="alert">{sending.of('word')}</span>
        {/if}
      </form>
    {/if}
  </section>
{/if}
