<script lang="ts">
  import type { HoursSpan } from '$lib/api/types';
  import Popup from '$lib/ui/Popup.svelte';
  import HoursChoice from './HoursChoice.svelte';
  import { DAYS, hoursWords } from './planWords';

  interface Props {
    /** Null for those of the workspace. */
    hours: HoursSpan[] | null;
    /** The workspace's; null for any time. */
    house: HoursSpan[] | null;
    editable: boolean;
    onchange: (hours: HoursSpan[] | null) => void;
  }

  let { hours, house, editable, onchange }: Props = $props();
  let open = $state(false);

  const anyTime: HoursSpan[] = DAYS.map((day) => ({ day, from: 0, to: 24 * 60 }));
  const working: HoursSpan[] = DAYS.slice(0, 5).map((day) => ({ day, from: 540, to: 1020 }));
  const isAny = $derived(hours !== null && hoursWords(hours) === hoursWords(anyTime));
  const houseWords = $derived(hoursWords(house ?? anyTime));
  const words = $derived(hours === null ? houseWords : hoursWords(hours));
</script>

<Popup bind:open up label="Sending hours">
  {#snippet trigger(toggle)}
    <button
      type="button"
      class="h-7 rounded-md border border-line bg-card px-1.5 text-[0.92rem] disabled:text-soft"
      disabled={!editable}
      onclick={toggle}>{words}</button
    >
  {/snippet}
  <fieldset class="flex flex-col gap-1">
    <legend class="mb-1 font-bold">Messages leave</legend>
    <label class="flex items-center gap-2">
      <input
        type="radio"
        name="hours"
        class="text-kelp"
        checked={hours === null}
        onchange={() => onchange(null)}
      />
      in the workspace’s hours ({houseWords})
    </label>
    <label class="flex items-center gap-2">
      <input
        type="radio"
        name="hours"
        class="text-kelp"
        checked={isAny}
        onchange={() => onchange(anyTime)}
      /> at any time
    </label>
    <label class="flex items-center gap-2">
      <input
        type="radio"
        name="hours"
        class="text-kelp"
        checked={hours !== null && !isAny}
        onchange={() => onchange(working)}
      /> in these hours
    </label>
  </fieldset>
  {#if hours !== null && !isAny}
    <div class="mt-2 border-t border-line-soft pt-2">
      <HoursChoice {hours} onchange={(next) => next.length && onchange(next)} />
    </div>
  {/if}
</Popup>
