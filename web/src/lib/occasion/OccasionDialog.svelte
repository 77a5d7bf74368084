<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { topicItems } from '$lib/house/topics';
  import { topicsQuery } from '$lib/api/queries';
  import type { OccasionBody } from '$lib/api/types';
  import { Typed } from '$lib/draft/typed.svelte';
  import TypedBefore from '$lib/draft/TypedBefore.svelte';
  import { SHIPPED } from '$lib/card/card';
  import CardDialog from '$lib/card/CardDialog.svelte';
  import LetterheadSelect from '$lib/wording/LetterheadSelect.svelte';
  import WordsFields from '$lib/wording/WordsFields.svelte';
  import WaysWords from '$lib/ways/WaysWords.svelte';
  import PartsChoice from '$lib/series/PartsChoice.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import TimeField from '$lib/ui/TimeField.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { Input, Select } from 'flowbite-svelte';
  import { LEAVES, roundsOf } from './occasion';

  interface Props {
    open: boolean;
    title: string;
    /** By this name what is typed is kept until it is saved. */
    name: string;
    /** As it was; what is typed goes its own way until it is saved. */
    occasion: OccasionBody;
    onsave: (occasion: OccasionBody) => Promise<boolean>;
  }

  let { open = $bindable(), title, name, occasion, onsave }: Props = $props();

  const topics = createQuery(topicsQuery);
  const days = createQuery(() => ({
    queryKey: ['day-fields'],
    queryFn: () => answer(api.GET('/api/occasions/day-fields'))
  }));
  // A dialog begins with what was there and then goes its own way.
  // svelte-ignore state_referenced_locally
  const typed = new Typed(name, { ...occasion, typedRounds: occasion.rounds.join(', ') });
  const draft = $derived(typed.value);
  $effect(() => typed.keep());
  let busy = $state(false);
  let carding = $state(false);
  const years = $derived(roundsOf(draft.typedRounds));

  /** What the server knows: years are typed as words. */
  function bodyOf({ typedRounds, ...rest }: typeof draft): OccasionBody {
    return { ...rest, rounds: roundsOf(typedRounds) ?? [] };
  }

  async function save() {
    busy = true;
    const asTyped = $state.snapshot(draft);
    if (await onsave(bodyOf(asTyped))) {
      typed.saved(asTyped);
      open = false;
    }
    busy = false;
  }
</script>

<Ask bind:open={() => open && !carding, (is) => (open = is || carding)} {title} wide>
  <div class="flex flex-col gap-3">
    <TypedBefore is={typed.fromBefore} onforget={() => typed.anew()} />
    <div class="grid grid-cols-2 gap-x-5 gap-y-2.5 max-md:grid-cols-1">
      <label class="flex flex-col gap-1">
        Name <Input bind:value={draft.name} maxlength={200} data-autofocus />
      </label>
      <label class="flex flex-col gap-1">
        Topic, which people can leave
        <Select
          placeholder=""
          items={topicItems(topics.data, draft.topicId)}
          bind:value={draft.topicId}
        />
      </label>
      <label class="flex flex-col gap-1">
        The day
        <Select
          placeholder=""
          items={(days.data ?? []).map((d) => ({ value: d.name, name: d.label }))}
          bind:value={draft.field}
        />
      </label>
      <label class="flex flex-col gap-1">
        It comes
        <Select
          placeholder=""
          items={[
            { value: 'YEARLY', name: 'every year after the first' },
            { value: 'DATED', name: 'once, as it stands' }
          ]}
          bind:value={draft.kind}
        />
      </label>
      <div class="flex flex-wrap items-end gap-x-3 gap-y-1">
        <label class="flex flex-col gap-1">
          Days from it (−7: a week before)
          <input
            type="number"
            class="h-9 w-24 rounded-lg border-line bg-card px-2 py-0"
            min={-60}
            max={60}
            bind:value={draft.offset}
          />
        </label>
        <div class="flex min-h-9 items-center gap-2">
          at
          <TimeField
            label="Time of day"
            value={draft.at.slice(0, 5)}
            onchange={(at) => (draft.at = at)}
          />
        </div>
      </div>
      {#if draft.kind === 'YEARLY'}
        <label class="flex flex-col gap-1">
          Only when it is so many years
          <Input bind:value={draft.typedRounds} placeholder="every year" />
          {#if years === undefined}
            <span class="text-[0.87rem] text-brick" role="alert">Years such as 10, 25, 50.</span>
          {/if}
        </label>
      {/if}
      <label class="flex flex-col gap-1">
        It leaves <Select placeholder="" items={LEAVES} bind:value={draft.leaves} />
      </label>
      <div class="flex flex-col gap-1">
        <span>For</span>
        <PartsChoice
          label="For whom"
          parts={draft.whom}
          none="everyone with such a day"
          onchange={(whom) => (draft.whom = whom)}
        />
      </div>
    </div>
    {#if draft.leaves !== 'TASK'}
      <WordsFields
        subject={draft.subject}
        body={draft.body}
        onsubject={(subject) => (draft.subject = subject)}
        onbody={(body) => (draft.body = body)}
      />
      <WaysWords
        ways={draft.ways}
        subject={draft.subject}
        body={draft.body}
        onchange={(ways) => (draft.ways = ways)}
      />
      <div class="flex flex-wrap items-center gap-x-5 gap-y-2">
        <span class="flex items-center gap-2">
          <span class="text-soft">Card above it</span>
          {draft.card ? (SHIPPED[draft.card.picture]?.name ?? 'our own picture') : 'none'}
          <HouseButton weight="quiet" onclick={() => (carding = true)}
            >{draft.card ? 'Change the card' : 'Put a card above'}</HouseButton
          >
        </span>
        <LetterheadSelect bind:value={draft.letterheadId} />
      </div>
    {/if}
  </div>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    <HouseButton
      weight="main"
      disabled={busy || years === undefined || !draft.name.trim()}
      onclick={() => void save()}>Save</HouseButton
    >
  {/snippet}
</Ask>
{#if carding}
  <CardDialog
    bind:open={carding}
    of={bodyOf($state.snapshot(draft))}
    onsave={(card) => (draft.card = card)}
  />
{/if}
