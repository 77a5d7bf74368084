<script lang="ts">
  import { dayAndMonth, wallTime } from '$lib/format/dates';
  import { count, messages } from '$lib/format/numbers';
  import { ALL_NAMED, hourTicks, namedDays, scaleOf, type Bar, type BarDay } from './bars';
  import { boundWords, isTime, timeOf } from './planWords';
  import RunTable from './RunTable.svelte';

  interface Props {
    days: BarDay[];
    /** Whether what has left is drawn into what was planned. */
    running?: boolean;
    /** A mere outline, for a line. */
    small?: boolean;
  }

  let { days, running = false, small = false }: Props = $props();

  const HIGH = 64;
  const top = $derived(scaleOf(days));
  const bars = $derived(days.flatMap((d) => d.bars));
  const ticks = $derived(hourTicks(days));
  const named = $derived(namedDays(days.length));
  const capped = $derived(days.some((d) => d.bound.some((b) => !isTime(b))));
  const quiet = $derived(days.some((d) => d.bound.includes('quiet hours')));
  const hatched = $derived(bars.some((b) => b.closed));
  let at = $state<number | null>(null);
  const pointed = $derived(at === null ? undefined : bars[at]);
  const legend = $derived(
    [
      hatched ? 'hatched: nothing may leave' : '',
      capped ? 'ochre: a cap holds messages back' : '',
      quiet ? 'phones that would ring at night wait for the morning' : ''
    ]
      .filter(Boolean)
      .join(' · ')
  );

  function dayName(day: string): string {
    return wallTime(`${day}T00:00`).split(',')[0] ?? day;
  }

  /** "Tue 24 Mar, 09:00 to 10:00: 40 messages" */
  function told(bar: Bar): string {
    const hours =
      bar.hour === null ? '' : `, ${timeOf(bar.hour * 60)} to ${timeOf((bar.hour + 1) * 60)}`;
    const left = running ? `, ${count(bar.sent)} gone` : '';
    const bound = days.find((d) => d.day === bar.day)?.bound.filter((b) => b !== 'hours') ?? [];
    const back = bound.length ? `, held back by ${boundWords(bound)}` : '';
    return `${dayName(bar.day)}${hours}: ${messages(bar.planned)}${left}${back}`;
  }

  function move(event: KeyboardEvent) {
    const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    at = Math.max(0, Math.min(bars.length - 1, at === null ? 0 : at + step));
  }
</script>

{#if small}
  <div class="flex h-7 items-end justify-end gap-px" aria-hidden="true">
    {#each bars as bar (bar.day + String(bar.hour))}
      <div
        class="w-2 min-w-px shrink bg-kelp-mid"
        style:height={`${Math.ceil((bar.planned / top) * 28)}px`}
      ></div>
    {/each}
  </div>
{:else}
  <!-- Read bar by bar with the arrow keys; the table says the same. -->
  <!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
  <div
    class="grid grid-cols-[auto_minmax(0,1fr)] gap-x-1.5 rounded text-[0.8rem] text-soft"
    role="group"
    tabindex="0"
    aria-label="When messages leave, in bars; the arrow keys go from one to the next"
    onkeydown={move}
    onmouseleave={() => (at = null)}
    onblur={() => (at = null)}
  >
    <div class="flex flex-col items-end justify-between leading-none" aria-hidden="true">
      <span>{count(top)}</span><span>0</span>
    </div>
    <div class="flex border-t border-b border-line" style:height={`${HIGH}px`} aria-hidden="true">
      {#each days as day, d (day.day)}
        <div
          class="flex min-w-0 items-end border-l border-line first:border-l-0"
          class:bg-ochre-pale={day.bound.some((b) => !isTime(b))}
          style:flex={`${day.bars.length} 1 0`}
        >
          {#each day.bars as bar, b (bar.hour)}
            {@const place = d * (days[0]?.bars.length ?? 1) + b}
            <div
              class="relative flex h-full min-w-0 flex-1 items-end"
              class:closed={bar.closed}
              class:pointed={place === at}
              role="presentation"
              onmouseenter={() => (at = place)}
            >
              <div
                class={`relative mx-px w-full max-w-10 overflow-hidden rounded-t-sm ${running ? 'bg-kelp-light' : 'bg-kelp-mid'}`}
                style:height={`${Math.ceil((Math.max(bar.planned, bar.sent) / top) * (HIGH - 2))}px`}
              >
                {#if running}
                  <div
                    class="absolute inset-x-0 bottom-0 bg-kelp-mid"
                    style:height={`${(bar.sent / Math.max(1, bar.planned, bar.sent)) * 100}%`}
                  ></div>
                {/if}
              </div>
            </div>
          {/each}
        </div>
      {/each}
    </div>
    <span></span>
    <div class="flex" aria-hidden="true">
      {#each days as day, d (day.day)}
        <div class="relative h-9 min-w-0" style:flex={`${day.bars.length} 1 0`}>
          {#each day.bars as bar, b (bar.hour)}
            {#if bar.hour !== null && ticks.includes(bar.hour)}
              <span class="absolute top-0 leading-4" style:left={`${(b / day.bars.length) * 100}%`}
                >{timeOf(bar.hour * 60)}</span
              >
            {/if}
          {/each}
          {#if named.includes(d)}
            <span class="absolute top-4 left-0 whitespace-nowrap">
              <b class="font-semibold text-ink"
                >{days.length > ALL_NAMED ? dayAndMonth(day.day) : dayName(day.day)}</b
              >
              {running
                ? `${count(day.sent)} of ${count(day.planned)}`
                : days.length > ALL_NAMED
                  ? ''
                  : count(day.planned)}
            </span>
          {/if}
        </div>
      {/each}
    </div>
    <span></span>
    <p class="min-h-5" aria-live="polite">{pointed ? told(pointed) : legend}</p>
  </div>
  <RunTable {days} {running} {dayName} />
{/if}

<style>
  .closed {
    background: repeating-linear-gradient(
      135deg,
      var(--color-line-soft) 0 2px,
      transparent 2px 6px
    );
  }
  .pointed {
    box-shadow: inset 0 -3px 0 var(--color-ink);
  }
</style>
