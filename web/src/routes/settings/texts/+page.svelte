<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { instead } from '$lib/api/instead';
  import type { PhoneRules } from '$lib/api/types';
  import { session } from '$lib/session/session.svelte';
  import ServicePanel from '$lib/service/ServicePanel.svelte';
  import PushService from '$lib/settings/PushService.svelte';
  import TextPrices from '$lib/settings/TextPrices.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';

  const queries = useQueryClient();
  const query = createQuery(() => ({
    queryKey: ['phone-rules'],
    queryFn: () => answer(api.GET('/api/phone-rules')),
    refetchOnWindowFocus: false
  }));
  const mayChange = $derived(session.may('SETTINGS'));
  let wanted = $state<PhoneRules | null>(null);
  let words = $state('');

  function show(rules: PhoneRules) {
    wanted = structuredClone(rules);
    words = rules.stopWords.join('\n');
  }

  $effect(() => {
    if (query.data && !wanted) show(query.data);
  });

  async function save() {
    if (!wanted) return;
    try {
      const body = { ...$state.snapshot(wanted), stopWords: words.split('\n') };
      const saved = await answer(api.PUT('/api/phone-rules', { body }));
      queries.setQueryData(['phone-rules'], saved);
      show(saved);
      notices.say('Saved; texts keep to it from now on.');
    } catch (error) {
      notices.fail(error);
    }
  }

  const amount = (text: string) => (text.trim() === '' ? null : Number(text));
  const field = 'rounded-lg border-line bg-card px-3 py-1.5 disabled:text-soft';
</script>

<svelte:head><title>Texts and phones · Jemble</title></svelte:head>
<PageHead
  title="Texts and phones"
  words={mayChange
    ? 'The text service, our app, and when no phone rings.'
    : `The text service, our app, and when no phone rings. ${session.why('SETTINGS')}`}
>
  {#snippet actions()}{#if mayChange}<HouseButton weight="main" onclick={save}>Save</HouseButton
      >{/if}{/snippet}
</PageHead>
{#if instead(query)}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if wanted}
  <div
    class="grid grid-cols-[minmax(0,1fr)_minmax(0,1.25fr)_minmax(0,0.85fr)] items-start gap-3 max-lg:grid-cols-1"
  >
    <div class="flex flex-col gap-3">
      <ServicePanel
        kind="TEXT_SERVICE"
        title="Text service"
        words="Texts leave through it by SMPP; without one nobody can be texted."
        {mayChange}
      />
      <PushService {mayChange} />
      <fieldset class="panel flex flex-col gap-2 p-4" disabled={!mayChange}>
        <h2 class="text-[1rem]">Quiet hours</h2>
        <p class="flex flex-wrap items-center gap-2">
          <label class="flex items-center gap-2"
            >From <input
              type="text"
              class={`w-24 ${field}`}
              inputmode="numeric"
              placeholder="21:00"
              bind:value={wanted.quietFrom}
            /></label
          >
          <label class="flex items-center gap-2"
            >to <input
              type="text"
              class={`w-24 ${field}`}
              inputmode="numeric"
              placeholder="08:00"
              bind:value={wanted.quietTo}
            /></label
          >
        </p>
        <p class="text-[0.9rem] text-soft">
          On each person’s own clock, whatever a plan says. What is due at night waits for the
          morning.
        </p>
      </fieldset>
    </div>
    <fieldset class="panel flex flex-col gap-2 p-4" disabled={!mayChange}>
      <TextPrices bind:prices={wanted.prices} currency={wanted.currency} {mayChange} />
      <label class="mt-2 flex items-center justify-between gap-3">
        At most on a day
        <input
          type="text"
          class={`w-28 text-end ${field}`}
          inputmode="decimal"
          placeholder="any amount"
          value={wanted.mostADay ?? ''}
          oninput={(e) => wanted && (wanted.mostADay = amount(e.currentTarget.value))}
        />
      </label>
      <label class="flex items-center justify-between gap-3">
        At most in a month
        <input
          type="text"
          class={`w-28 text-end ${field}`}
          inputmode="decimal"
          placeholder="any amount"
          value={wanted.mostAMonth ?? ''}
          oninput={(e) => wanted && (wanted.mostAMonth = amount(e.currentTarget.value))}
        />
      </label>
      <p class="text-[0.9rem] text-soft">
        A mailing whose texts cost more than is left is not released.
      </p>
    </fieldset>
    <fieldset class="panel flex flex-col gap-2 p-4" disabled={!mayChange}>
      <h2 class="text-[1rem]"><label for="stop-words">Stop words</label></h2>
      <textarea
        id="stop-words"
        class={`min-h-32 w-full [field-sizing:content] ${field}`}
        bind:value={words}
      ></textarea>
      <p class="text-[0.9rem] text-soft">
        One a line. Whoever answers a text with one of them, and nothing else, gets no more texts.
        So does whoever answers {wanted.alwaysStop.join(', ')}.
      </p>
    </fieldset>
  </div>
{/if}
