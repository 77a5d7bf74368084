<script lang="ts">
  import { calendarDay, wallTime } from '$lib/format/dates';
  import { count } from '$lib/format/numbers';
  import { highest, type Bar, type BarDay } from './bars';

  interface Props {
    days: BarDay[];
    /** Whether what has left is drawn into what was planned. */
    running?: boolean;
  }

  let { days, running = false }: Props = $props();

  const top = $derived(highest(days));
  const bars = $derived(days.reduce((sum, d) => sum + d.bars.length, 0));
  const single = $derived(days.every((d) => d.bars.length === 1) && days.length > 8);
  // Names of days stand where there is room for them.
  const named = $derived(Math.max(1, Math.ceil(days.length / 6)));

  function title(day: BarDay, bar: Bar): string {
    const when = bar.name.includes(':') ? `${name(day)}, ${bar.name}` : calendarDay(day.day);
    const left = running ? `, ${count(bar.sent)} gone` : '';
    return `${when}: ${count(bar.planned)} planned${left}`;
  }

  function name(day: BarDay): string {
    return wallTime(`${day.day}T00:00`).split(',')[0] ?? day.day;
  }
</script>

<div
  class="flex items-end"
  class:gap-px={single}
  class:gap-2={!single}
  role="img"
  aria-label={days
    .map(
      (d) => `${name(d)}: ${count(d.planned)} planned${running ? `, ${count(d.sent)} gone` : ''}`
    )
    .join('; ')}
>
  {#each days as day, place (day.day)}
    <div
      class="min-w-0"
      style:flex={`${day.bars.length} 1 0`}
      style:max-width={`${day.bars.length * 4}rem`}
    >
      <div class="flex h-14 items-end gap-px" class:gap-0.5={bars < 60}>
        {#each day.bars as bar (bar.name)}
          <div
            class="relative flex-1 overflow-hidden rounded-t-sm"
            class:bg-kelp-light={running}
            class:bg-kelp-mid={!running && bar.planned > 0}
            class:closed={bar.planned === 0 && bar.sent === 0}
            style:height={`${Math.max(4, (Math.max(bar.planned, bar.sent) / top) * 56)}px`}
            title={title(day, bar)}
          >
            {#if running}
              <div
                class="absolute inset-x-0 bottom-0 bg-kelp-mid"
                style:height={`${(bar.sent / Math.max(1, bar.planned, bar.sent)) * 100}%`}
              ></div>
            {/if}
          </div>
        {/each}
      </div>
      <div class="mt-1 h-5 text-[0.82rem] whitespace-nowrap text-soft">
        {#if place % named === 0}
          {name(day)}{#if !single}&nbsp; · {running
              ? `${count(day.sent)} of ${count(day.planned)}`
              : count(day.planned)}{/if}
        {/if}
      </div>
    </div>
  {/each}
</div>

<style>
  .closed {
    background: repeating-linear-gradient(135deg, var(--color-line) 0 2px, transparent 2px 5px);
  }
</style>
