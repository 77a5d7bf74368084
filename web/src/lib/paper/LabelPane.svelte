<script lang="ts">
  import type { SheetLabel } from '$lib/api/types';
  import { calendarDay } from '$lib/format/dates';
  import HouseButton from '$lib/ui/HouseButton.svelte';

  interface Props {
    label: SheetLabel;
    editable: boolean;
    /** Words of its own for this run; null for what all others say. */
    onwords: (words: string | null) => void;
    /** This person gets no label in this run. */
    onleaveout: (personId: number) => void;
    /** Once it was posted: notes whether it came back. */
    onreturned?: (personId: number, back: boolean) => void;
  }

  let { label, editable, onwords, onleaveout, onreturned }: Props = $props();

  // A form begins with what is printed and then goes its own way.
  // svelte-ignore state_referenced_locally
  let words = $state(label.words);
  const changed = $derived(words !== label.words);
  const fits = $derived(
    !label.fits
      ? 'It does not fit, even at 7 points.'
      : label.shrunk
        ? `Printed at ${label.points} points, so that it fits.`
        : ''
  );
</script>

<section class="flex flex-col gap-2" aria-label="One label">
  <div class="flex items-baseline justify-between gap-3">
    <h2 class="text-[1.07rem]">{label.name || 'No longer on record'}</h2>
    {#if label.personId !== null}
      <a class="font-semibold text-kelp hover:underline" href={`/people/${label.personId}`}
        >Open the record</a
      >
    {/if}
  </div>
  {#if fits}<p class={label.fits ? 'text-ochre' : 'text-brick'}>{fits}</p>{/if}
  {#if editable}
    <textarea
      class="min-h-32 w-full rounded-lg border border-line bg-card px-2.5 py-1.5"
      aria-label={`Words of the label of ${label.name}, for this run alone`}
      bind:value={words}
    ></textarea>
    <p class="text-[0.87rem] text-soft">
      {label.own
        ? 'Changed for this run alone.'
        : 'What you change here is for this run alone; the record stays.'}
    </p>
    <div class="flex flex-wrap items-center gap-x-3 gap-y-2">
      <HouseButton disabled={!changed} onclick={() => onwords(words)}>Change this label</HouseButton
      >
      {#if label.own}
        <HouseButton onclick={() => onwords(null)}>As on the others</HouseButton>
      {/if}
      {#if label.personId !== null}
        {@const personId = label.personId}
        <HouseButton weight="quiet" onclick={() => onleaveout(personId)}>Leave out</HouseButton>
      {/if}
    </div>
  {:else}
    <p class="whitespace-pre-line">{label.words}</p>
    {#if onreturned && label.personId !== null}
      {@const personId = label.personId}
      {#if label.returnedOn}
        <p class="text-brick">Came back on {calendarDay(label.returnedOn)}.</p>
        <HouseButton onclick={() => onreturned(personId, false)}>It did not come back</HouseButton>
      {:else}
        <HouseButton onclick={() => onreturned(personId, true)}>It came back</HouseButton>
        <p class="text-[0.87rem] text-soft">
          Then nothing more is printed for this address until it is changed.
        </p>
      {/if}
    {/if}
  {/if}
</section>
