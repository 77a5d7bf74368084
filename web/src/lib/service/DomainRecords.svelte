<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { DomainRecord, MailDomain } from '$lib/api/types';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { Sending } from '$lib/ui/sending.svelte';

  const about: Record<DomainRecord['kind'], string> = {
    MX: 'where mail to it arrives',
    SPF: 'who may send in its name',
    DKIM: 'by which key its mails are signed',
    DMARC: 'what to do with what is neither'
  };
  const states: Record<DomainRecord['state'], string> = {
    RIGHT: 'right',
    MISSING: 'missing',
    WRONG: 'wrong',
    NOT_REACHED: 'not reached'
  };

  const sending = new Sending();
  let domain = $state.raw<MailDomain | null>(null);
  let selector = $state('');
  let looking = $state(false);

  function show(found: MailDomain) {
    domain = found;
    selector = found.selector;
  }

  async function look() {
    looking = true;
    try {
      show(await answer(api.GET('/api/mail-domain')));
    } catch (error) {
      notices.fail(error);
    } finally {
      looking = false;
    }
  }

  const name = (event: SubmitEvent) =>
    sending.send(event, async () =>
      show(await answer(api.PUT('/api/mail-domain', { body: { selector } })))
    );

  async function copy(text: string) {
    await navigator.clipboard.writeText(text);
    notices.say('It is copied.');
  }
</script>

<section class="panel flex flex-col gap-3 p-4" aria-label="Records of the mail domain">
  <div class="flex flex-wrap items-start justify-between gap-3">
    <div>
      <h2 class="text-[1rem]">Records of the mail domain</h2>
      <p class="text-[0.9rem] text-soft">
        Others believe your mails by what stands there. Whoever runs the domain can set them.
      </p>
    </div>
    <HouseButton disabled={looking} onclick={look}
      >{looking ? 'Looking …' : domain ? 'Look again' : 'Look them up'}</HouseButton
    >
  </div>
  {#if domain && !domain.said}
    <p>
      The house has not said its mail domain yet.
      <a class="font-semibold text-kelp underline" href="/settings/house">Say it first</a>
    </p>
  {:else if domain}
    <ul class="flex flex-col">
      {#each domain.records as record (record.kind)}
        <li class="border-t border-line-soft py-2.5">
          <p class="flex flex-wrap items-baseline gap-x-3">
            <strong class="w-16">{record.kind}</strong>
            <span class="text-soft">{about[record.kind]}</span>
            <span
              class={`ms-auto font-semibold ${record.state === 'RIGHT' ? 'text-kelp' : record.state === 'NOT_REACHED' ? 'text-soft' : 'text-brick'}`}
              >{states[record.state]}</span
            >
          </p>
          <p>{record.words}</p>
          {#if record.state !== 'RIGHT'}
            <p class="mt-1 text-[0.9rem] text-soft">
              It should say, under <code class="break-all">{record.name}</code>:
            </p>
            <p class="flex items-baseline gap-2">
              <code class="min-w-0 flex-1 text-[0.9rem] wrap-anywhere">{record.text}</code>
              <button
                type="button"
                class="min-h-[26px] flex-none font-semibold text-kelp hover:underline"
                aria-label={`Copy what ${record.kind} should say`}
                onclick={() => copy(record.text)}>Copy</button
              >
            </p>
          {/if}
        </li>
      {/each}
    </ul>
    <form class="flex flex-wrap items-end gap-2" onsubmit={name}>
      <label class="flex min-w-0 flex-1 flex-col gap-1">
        Selector of the mail server’s key
        <input
          type="text"
          class="rounded-lg border-line bg-card px-2.5 py-1.5 placeholder:text-soft"
          placeholder="such as mail2026; whoever runs the mail server knows it"
          bind:value={selector}
          maxlength={253}
        />
      </label>
      <HouseButton type="submit" disabled={sending.busy}>Save</HouseButton>
      {#if sending.of('selector')}
        <span class="basis-full text-brick" role="alert">{sending.of('selector')}</span>
      {/if}
    </form>
  {/if}
</section>
