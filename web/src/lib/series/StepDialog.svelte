<script lang="ts">
  import type { SeriesStepBody } from '$lib/api/types';
  import { Typed } from '$lib/draft/typed.svelte';
  import TypedBefore from '$lib/draft/TypedBefore.svelte';
  import LetterheadSelect from '$lib/wording/LetterheadSelect.svelte';
  import WordsFields from '$lib/wording/WordsFields.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import TimeField from '$lib/ui/TimeField.svelte';
  import { Select } from 'flowbite-svelte';
  import WaysWords from '$lib/ways/WaysWords.svelte';
  import PartsChoice from './PartsChoice.svelte';
  import { UNITS } from './series';

  interface Props {
    open: boolean;
    title: string;
    /** By this name what is typed is kept until it is saved. */
    name: string;
    /** The step as it was; what is typed goes its own way until it is saved. */
    step: SeriesStepBody;
    first: boolean;
    /** Whom the change touches, in words. */
    touches: string;
    /** Whether a step at the end can be for those who had finished too. */
    mayBeForFinished: boolean;
    onsave: (step: SeriesStepBody, finishedToo: boolean) => Promise<boolean>;
  }

  let {
    open = $bindable(),
    title,
    name,
    step,
    first,
    touches,
    mayBeForFinished,
    onsave
  }: Props = $props();

  // A dialog begins with what was there and then goes its own way.
  // svelte-ignore state_referenced_locally
  const typed = new Typed(name, step);
  const draft = $derived(typed.value);
  $effect(() => typed.keep());
  let finishedToo = $state(false);
  let busy = $state(false);

  async function save() {
    busy = true;
    const body = $state.snapshot(draft);
    if (await onsave(body, finishedToo)) {
      typed.saved(body);
      open = false;
    }
    busy = false;
  }
</script>

<Ask bind:open {title} wide>
  <div class="flex flex-col gap-3">
    <TypedBefore is={typed.fromBefore} onforget={() => typed.anew()} />
    <p class="flex flex-wrap items-center gap-2">
      <span>{first ? 'After coming in' : 'After the step before'}</span>
      <input
        type="number"
        class="h-8 w-20 rounded-md border-line bg-card px-2 py-0"
        aria-label="How long it waits"
        min={0}
        max={1000}
        bind:value={draft.waitCount}
      />
      <Select
        class="h-8 w-36 py-0"
        placeholder=""
        aria-label="What is counted"
        items={UNITS}
        bind:value={draft.waitUnit}
      />
      <label class="flex min-h-[26px] items-center gap-2">
        <input
          type="checkbox"
          checked={draft.waitAt !== null}
          onchange={(e) => (draft.waitAt = e.currentTarget.checked ? '09:00' : null)}
        />
        at a time of day
      </label>
      {#if draft.waitAt !== null}
        <TimeField
          label="Time of day"
          value={draft.waitAt}
          onchange={(time) => (draft.waitAt = time)}
        />
      {/if}
    </p>
    <WordsFields
      subject={draft.subject}
      body={draft.body}
      onsubject={(subject) => (draft.subject = subject)}
      onbody={(html) => (draft.body = html)}
    />
    <WaysWords
      ways={draft.ways}
      subject={draft.subject}
      body={draft.body}
      onchange={(ways) => (draft.ways = ways)}
    />
    <div class="flex flex-wrap items-center gap-x-5 gap-y-2">
      <LetterheadSelect bind:value={draft.letterheadId} />
      {#if !first}
        <label class="flex min-h-[26px] items-center gap-2">
          <input type="checkbox" bind:checked={draft.inThread} /> in the thread of the step before
        </label>
      {/if}
      {#if mayBeForFinished}
        <label class="flex min-h-[26px] items-center gap-2">
          <input type="checkbox" bind:checked={finishedToo} /> also for those who had all steps
        </label>
      {/if}
    </div>
    <div class="flex flex-wrap items-center gap-x-3 gap-y-1">
      <span class="text-soft">For</span>
      <PartsChoice
        label="For whom"
        parts={draft.meant}
        none="everyone who is in the series"
        onchange={(meant) => (draft.meant = meant)}
      />
    </div>
    {#if touches}<p class="text-[0.93rem] text-soft">{touches}</p>{/if}
  </div>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    <HouseButton weight="main" disabled={busy} onclick={() => void save()}
      >Save the step</HouseButton
    >
  {/snippet}
</Ask>
