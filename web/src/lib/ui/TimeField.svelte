<script lang="ts">
  import { Latest, readTime } from './typedDay';

  interface Props {
    label: string;
    /** "09:00" */
    value: string;
    /** Told as soon as what is typed is a time. */
    onchange: (time: string) => void;
    disabled?: boolean;
  }

  let { label, value, onchange, disabled = false }: Props = $props();

  let typed = $state<string | null>(null);
  let wrong = $state(false);
  const latest = new Latest();

  async function type(text: string) {
    typed = text;
    try {
      const time = await latest.of(readTime(text));
      if (time === undefined) return;
      wrong = time === null;
      if (time) onchange(time);
    } catch {
      wrong = true;
    }
  }
</script>

<input
  class={`h-7 w-16 rounded-md bg-card px-1.5 py-0 text-[0.95em] disabled:text-soft ${wrong ? 'border-brick' : 'border-line'}`}
  aria-label={label}
  aria-invalid={wrong || undefined}
  autocomplete="off"
  {disabled}
  value={typed ?? value}
  oninput={(e) => void type(e.currentTarget.value)}
  onblur={() => {
    if (!wrong) typed = null;
  }}
/>
{#if wrong}<span class="text-[0.87em] text-brick" role="alert">no time, such as 9:30</span>{/if}
