<script lang="ts">
  import type { HoursSpan } from '$lib/api/types';
  import { DAYS, minutesOf, shortDay, timeOf, type WeekDay } from './planWords';

  interface Props {
    /** One window a day; days without one are closed. */
    hours: HoursSpan[];
    onchange: (hours: HoursSpan[]) => void;
  }

  let { hours, onchange }: Props = $props();

  const of = (day: WeekDay) => hours.find((h) => h.day === day);
  const nine = 9 * 60;
  const five = 17 * 60;

  function toggle(day: WeekDay, open: boolean) {
    const like = hours[0] ?? { from: nine, to: five };
    const rest = hours.filter((h) => h.day !== day);
    put(open ? [...rest, { day, from: like.from, to: like.to }] : rest);
  }

  function set(day: WeekDay, what: 'from' | 'to', time: string) {
    const read = minutesOf(time);
    // Midnight at the end of a day is written 00:00 by many.
    const minutes = what === 'to' && read === 0 ? 24 * 60 : read;
    const now = of(day);
    if (minutes === null || !now) return;
    const next = { ...now, [what]: minutes };
    if (next.from < next.to) put([...hours.filter((h) => h.day !== day), next]);
  }

  function put(next: HoursSpan[]) {
    onchange(next.toSorted((a, b) => DAYS.indexOf(a.day) - DAYS.indexOf(b.day)));
  }
</script>

<ul class="flex flex-col gap-1">
  {#each DAYS as day (day)}
    {@const span = of(day)}
    <li class="flex min-h-8 items-center gap-2">
      <label class="flex w-20 items-center gap-2">
        <input
          type="checkbox"
          class="rounded text-kelp"
          checked={!!span}
          onchange={(e) => toggle(day, e.currentTarget.checked)}
        />
        {shortDay(day)}
      </label>
      {#if span}
        <input
          type="text"
          inputmode="numeric"
          class="h-7 w-18 rounded-md border-line bg-card px-2 py-0 text-center"
          aria-label={`${shortDay(day)} from`}
          value={timeOf(span.from)}
          onchange={(e) => set(day, 'from', e.currentTarget.value)}
        />
        to
        <input
          type="text"
          inputmode="numeric"
          class="h-7 w-18 rounded-md border-line bg-card px-2 py-0 text-center"
          aria-label={`${shortDay(day)} to`}
          value={timeOf(span.to)}
          onchange={(e) => set(day, 'to', e.currentTarget.value)}
        />
      {:else}
        <span class="text-soft">nothing leaves</span>
      {/if}
    </li>
  {/each}
</ul>
