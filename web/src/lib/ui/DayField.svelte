<script lang="ts">
  import { calendarDay } from '$lib/format/dates';
  import { week } from '$lib/format/week.svelte';
  import { Datepicker } from 'flowbite-svelte';
  import Popup from './Popup.svelte';
  import { Latest, readDay, type Lean } from './typedDay';

  interface Props {
    label: string;
    /** A day such as 2026-12-06; null or empty for none. */
    value: string | null;
    /** Told as soon as what is typed is a day; empty when it was taken out. */
    onchange: (day: string) => void;
    lean?: Lean;
    disabled?: boolean;
    /** Whether it has the focus when its dialog or popup opens. */
    first?: boolean;
    placeholder?: string;
  }

  let {
    label,
    value,
    onchange,
    lean = 'AHEAD',
    disabled = false,
    first = false,
    placeholder = 'such as 6 Dec'
  }: Props = $props();

  const id = $props.id();
  const shown = $derived(value ? calendarDay(value) : '');
  const weekday = $derived(
    value
      ? new Date(`${value}T12:00:00Z`).toLocaleDateString('en-GB', {
          weekday: 'long',
          timeZone: 'UTC'
        })
      : ''
  );
  /** What is being typed; null while nothing is. */
  let typed = $state<string | null>(null);
  let said = $state('');
  let wrong = $state(false);
  let calendar = $state(false);
  let reading: Promise<void> | null = null;
  const latest = new Latest();

  function type(text: string) {
    typed = text;
    reading = read(text).finally(() => (reading = null));
  }

  async function read(text: string) {
    if (!text.trim()) {
      said = '';
      wrong = false;
      onchange('');
      return;
    }
    try {
      const found = await latest.of(readDay(text, lean));
      if (found === undefined) return;
      wrong = found === null;
      said = found?.words ?? 'no day yet';
      if (found) onchange(found.day);
    } catch {
      wrong = true;
      said = 'cannot be read just now';
    }
  }

  /** What is no day stays as it was typed, and says so. */
  async function leave() {
    if (reading) await reading;
    if (!wrong) typed = null;
  }

  /** Enter means what was typed, also while it is still being read. */
  async function onkeydown(event: KeyboardEvent) {
    if (event.key !== 'Enter' || !(event.target instanceof HTMLInputElement)) return;
    const form = event.target.form;
    if (!reading && !wrong) return;
    event.preventDefault();
    if (reading) await reading;
    if (!wrong) form?.requestSubmit();
  }

  function choose(day: unknown) {
    if (!(day instanceof Date)) return;
    const two = (n: number) => String(n).padStart(2, '0');
    typed = null;
    wrong = false;
    onchange(`${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}`);
    calendar = false;
  }
</script>

<span class="inline-flex items-center gap-1.5">
  <span class="inline-flex items-center rounded-md border border-line bg-card">
    <input
      class="h-7 w-28 rounded-md border-0 bg-transparent px-1.5 py-0 text-[0.95em] placeholder:text-soft disabled:text-soft"
      aria-label={label}
      aria-describedby={id}
      aria-invalid={wrong || undefined}
      autocomplete="off"
      data-first={first ? '' : undefined}
      data-autofocus={first ? '' : undefined}
      {placeholder}
      {disabled}
      value={typed ?? shown}
      oninput={(e) => type(e.currentTarget.value)}
      onblur={leave}
      {onkeydown}
    />
    <Popup bind:open={calendar} label={`${label}, calendar`}>
      {#snippet trigger(toggle)}
        <button
          type="button"
          class="flex size-7 items-center justify-center text-soft hover:text-ink"
          aria-label={`Choose ${label} from a calendar`}
          aria-expanded={calendar}
          {disabled}
          onclick={toggle}
        >
          <svg
            viewBox="0 0 16 16"
            class="size-4"
            fill="none"
            stroke="currentColor"
            aria-hidden="true"
          >
            <rect x="2" y="3.5" width="12" height="10.5" rx="1.5" />
            <path d="M2 7h12M5.5 1.8v3M10.5 1.8v3" />
          </svg>
        </button>
      {/snippet}
      <Datepicker
        inline
        locale="en-GB"
        firstDayOfWeek={week.first}
        value={value ? new Date(`${value}T12:00:00`) : undefined}
        onselect={choose}
      />
    </Popup>
  </span>
  <span
    {id}
    class={`text-[0.87em] whitespace-nowrap ${wrong ? 'text-brick' : 'text-soft'}`}
    aria-live="polite">{typed === null ? weekday : said}</span
  >
</span>
