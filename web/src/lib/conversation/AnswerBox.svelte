<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { AnswersTo, TheirMail } from '$lib/api/types';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { writer } from './conversation';

  interface Props {
    to: TheirMail;
    /** Whom it reaches, and whether that address is known to be theirs. */
    goesTo: AnswersTo | null;
    /** The person in whose conversation it is. */
    name: string;
    /** What was taken back, to be written on. */
    text: string;
    onsent: () => void;
  }

  let { to, goesTo, name, text = $bindable(), onsent }: Props = $props();
  let busy = $state(false);
  const byText = $derived(goesTo?.channel === 'TEXT');

  async function send() {
    if (busy || !text.trim()) return;
    busy = true;
    try {
      await answer(
        api.POST('/api/mail/{mailId}/answer', {
          params: { path: { mailId: to.mailId } },
          body: { text }
        })
      );
      text = '';
      onsent();
    } catch (error) {
      notices.fail(error);
    } finally {
      busy = false;
    }
  }
</script>

<form
  class="flex flex-none flex-col gap-2 border-t border-line p-3"
  onsubmit={(e) => {
    e.preventDefault();
    void send();
  }}
>
  <label class="sr-only" for="answer">Answer to {writer(to.from)}</label>
  <textarea
    id="answer"
    rows="4"
    class="w-full rounded-lg border-line bg-card px-3 py-2 placeholder:text-soft"
    placeholder={`Answer ${writer(to.from)}`}
    bind:value={text}
    onkeydown={(e) => {
      if (e.key === 'Enter' && (e.ctrlKey || e.metaKey)) void send();
    }}
  ></textarea>
  {#if goesTo && !goesTo.known}
    <p class="rounded-lg bg-ochre-pale px-3 py-1.5" role="note">
      It goes to {goesTo.sender}, which is not on record for {name}.
    </p>
  {/if}
  <p class="flex flex-wrap items-center gap-3 text-[0.87rem] text-soft">
    <HouseButton weight="main" type="submit" disabled={busy || !text.trim()}>Answer</HouseButton>
    <span
      >It goes {byText ? 'by text, ' : ''}into the same thread, and can be taken back for a moment.
      Ctrl Enter sends.</span
    >
  </p>
</form>
