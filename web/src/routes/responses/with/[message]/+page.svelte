<script lang="ts">
  import { whereTo } from '$lib/ways/ways';
  import { instead } from '$lib/api/instead';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { answer, api } from '$lib/api/client';
  import { lately } from '$lib/format/dates';
  import { UNTOLD } from '$lib/live/live';
  import AnswerBox from '$lib/conversation/AnswerBox.svelte';
  import {
    conversationQuery,
    letters,
    signs,
    toAnswer,
    type Reading
  } from '$lib/conversation/conversation';
  import { happening, letterOf } from '$lib/response/kinds';
  import SentLetterDialog from '$lib/letter/SentLetterDialog.svelte';
  import LetterStep from '$lib/conversation/LetterStep.svelte';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import LetterMark from '$lib/ui/LetterMark.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  const message = $derived(Number(page.params.message));
  const query = createQuery(() => ({ ...conversationQuery(message), refetchInterval: UNTOLD }));
  const conversation = $derived(query.data);
  const last = $derived(conversation ? toAnswer(conversation) : null);
  let text = $state('');
  let looked = $state<number | null>(null);

  async function act(what: () => Promise<unknown>) {
    try {
      await what();
      await query.refetch();
    } catch (error) {
      notices.fail(error);
    }
  }

  function read(mailId: number, what: Reading) {
    void act(async () => {
      await answer(
        api.PUT('/api/mail/{mailId}/as', { params: { path: { mailId } }, body: { what } })
      );
      if (what === 'NOT_AN_ANSWER') notices.say('It waits among the mail to place.');
    });
  }

  function takeBack(mailingId: number) {
    void act(() =>
      answer(api.POST('/api/answers/{mailingId}/take-back', { params: { path: { mailingId } } }))
    );
  }
</script>

{#if instead(query)}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if conversation}
  <PageHead
    title={conversation.name}
    words={`${whereTo(conversation)}, about “${conversation.mailing}”`}
  >
    {#snippet actions()}
      <HouseButton onclick={() => goto(`/people/${conversation.personId}`)}>The person</HouseButton>
      <HouseButton onclick={() => goto(`/responses/${conversation.mailingId}`)}
        >All responses</HouseButton
      >
    {/snippet}
  </PageHead>
  <div
    class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_316px] gap-3 max-lg:flex-none max-lg:grid-cols-1"
  >
    <section class="panel flex min-h-0 flex-col overflow-hidden" aria-label="Conversation">
      <!-- What scrolls must be reachable by key. -->
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <div class="min-h-0 flex-1 overflow-y-auto" tabindex="0" role="group" aria-label="Letters">
        {#each letters(conversation) as step (step.ours?.messageId ?? -(step.theirs?.mailId ?? 0))}
          <LetterStep {step} onread={read} ontakeback={takeBack} onlook={(id) => (looked = id)} />
        {/each}
      </div>
      {#if last && session.may('WRITE_TO_ONE')}
        <AnswerBox
          to={last}
          goesTo={conversation.answersTo}
          name={conversation.name}
          bind:text
          onsent={() => query.refetch()}
        />
      {/if}
    </section>
    <Panel title="Signs of reading" scrolls>
      <ul>
        {#each signs(conversation) as step, i (i)}
          {#if step.sign}
            <li class="flex gap-3 border-b border-line-soft px-3.5 py-2 text-[0.93rem]">
              <span class="pt-0.5"><LetterMark letter={letterOf(step.sign.kind)} /></span>
              <span class="min-w-0 break-words">
                {happening(step.sign.kind).word}
                <span class="block text-[0.82rem] text-soft">
                  {lately(step.at, session.zone)}{step.sign.detail
                    ? ` · ${step.sign.detail.replace(/^https?:\/\//, '')}`
                    : ''}
                </span>
              </span>
            </li>
          {/if}
        {:else}
          <li class="px-3.5 py-3 text-soft">None but what they wrote.</li>
        {/each}
      </ul>
    </Panel>
  </div>
{/if}
<SentLetterDialog bind:messageId={looked} />
