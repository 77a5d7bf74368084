<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { PlaceKind, UnplacedMail } from '$lib/api/types';
  import { dayAndTime } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query';

  interface Props {
    mail: UnplacedMail;
    ondone: (mail: number) => void;
  }

  let { mail, ondone }: Props = $props();

  let find = $state('');
  const query = createQuery(() => ({
    queryKey: ['unplaced', mail.id, find],
    queryFn: () =>
      answer(
        api.GET('/api/mail/unplaced/{id}', { params: { path: { id: mail.id }, query: { find } } })
      ),
    placeholderData: keepPreviousData
  }));
  const candidates = $derived(query.data?.candidates ?? []);
  let picked = $state<number>();
  const messageId = $derived(
    candidates.find((c) => c.messageId === picked)?.messageId ?? candidates[0]?.messageId
  );
  const mayWrite = $derived(session.may('WORK'));

  const kinds: { kind: PlaceKind; words: string }[] = [
    { kind: 'REPLIED', words: 'Their reply' },
    { kind: 'AUTO_REPLIED', words: 'Written by software' },
    { kind: 'RETURNED_HARD', words: 'Came back for good' },
    { kind: 'RETURNED_SOFT', words: 'Came back for now' }
  ];

  /** While it is being placed, a second press must not reach it, nor the mail that comes after. */
  let busy = false;

  async function done(what: () => Promise<unknown>, words: string) {
    if (busy) return;
    busy = true;
    const { id } = mail;
    try {
      await what();
      ondone(id);
      notices.say(words);
    } catch (error) {
      notices.fail(error);
    } finally {
      busy = false;
    }
  }

  function place(kind: PlaceKind) {
    if (messageId === undefined) return;
    const body = { messageId, kind };
    const params = { path: { id: mail.id } };
    void done(
      () => answer(api.POST('/api/mail/unplaced/{id}/place', { params, body })),
      'It stands with its message now.'
    );
  }

  function putAside() {
    const params = { path: { id: mail.id } };
    void done(
      () => answer(api.POST('/api/mail/unplaced/{id}/aside', { params })),
      'Put aside; it answers nothing of ours.'
    );
  }
</script>

<Panel title={mail.subject || 'No subject'} scrolls>
  {#snippet aside()}<span class="break-all">{mail.from}</span>{/snippet}
  <div class="max-w-[44rem] px-4 py-3 break-words whitespace-pre-wrap">
    {query.isSuccess ? query.data.words || 'It has no words.' : ''}
  </div>
  {#if mayWrite}
    <p class="px-4 pb-3">
      <a class="text-kelp hover:underline" href={`/api/mail/unplaced/${mail.id}/octets`} download
        >Download it as it came</a
      >
    </p>
    <div class="border-t border-line px-4 py-3">
      <label class="mb-3 flex flex-wrap items-center gap-2">
        Look for somebody else
        <input
          type="search"
          class="w-64 rounded-lg border-line bg-card px-3 py-1.5 placeholder:text-soft"
          placeholder="Name or address"
          bind:value={find}
        />
      </label>
      {#if candidates.length}
        <fieldset class="flex flex-col gap-1">
          <legend class="mb-1 font-semibold">It is about</legend>
          {#each candidates as candidate (candidate.messageId)}
            <label class="flex items-center gap-2">
              <input
                type="radio"
                name="message"
                class="border-line text-kelp"
                checked={candidate.messageId === messageId}
                onchange={() => (picked = candidate.messageId)}
              />
              <span
                >“{candidate.mailing}” to {candidate.name},
                <span class="text-soft">{dayAndTime(candidate.sentAt, session.zone)}</span></span
              >
            </label>
          {/each}
        </fieldset>
        <div class="mt-3 flex flex-wrap gap-2">
          {#each kinds as { kind, words } (kind)}
            <HouseButton weight={kind === 'REPLIED' ? 'main' : 'plain'} onclick={() => place(kind)}
              >{words}</HouseButton
            >
          {/each}
        </div>
      {:else if query.isSuccess}
        <p class="text-soft">
          {find
            ? 'Nothing was sent to anybody of that name or address.'
            : 'Nothing was sent to whoever wrote it, nor to any address that stands in it.'}
        </p>
      {/if}
      <p class="mt-3">
        <HouseButton weight="quiet" onclick={putAside}>It answers nothing of ours</HouseButton>
      </p>
    </div>
  {/if}
</Panel>
