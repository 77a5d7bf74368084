<script lang="ts" module>
  /** How a part looks: from good news to bad. */
  export type Tone =
    'good' | 'deep' | 'mid' | 'light' | 'machine' | 'open' | 'look' | 'off' | 'bad';

  /** One part of a tally. */
  export interface TallyPart {
    key: string;
    count: number;
    words: string;
    tone: Tone;
    /** Whether it counts all the others once more; then its width says nothing. */
    sum?: boolean;
  }
</script>

<script lang="ts">
  import { count } from '$lib/format/numbers';

  interface Props {
    parts: TallyPart[];
    /** What the parts are of, for those who cannot see the strip. */
    label: string;
    /** The part whose people are shown. */
    chosen?: string | null;
    onchoose: (key: string) => void;
  }

  let { parts, label, chosen = null, onchoose }: Props = $props();

  const tones: Record<Tone, string> = {
    good: 'bg-kelp-pale text-ink',
    deep: 'bg-kelp text-on-kelp',
    mid: 'bg-kelp-dim text-on-kelp',
    light: 'bg-kelp-light text-ink',
    machine: 'striped text-ink',
    open: 'bg-card text-ink',
    look: 'bg-ochre-pale text-ink',
    off: 'bg-shade text-ink',
    bad: 'bg-brick-pale text-ink'
  };
  const total = $derived(parts.reduce((sum, p) => sum + (p.sum ? 0 : p.count), 0));

  /** Wide enough to read, and otherwise in proportion. */
  function grow(part: TallyPart): number {
    return part.sum ? 0.02 : Math.max(part.count / Math.max(total, 1), 0.02);
  }

  /** In rem: its words in a line, or in two where they are many; it shrinks to the longest word. */
  function room(part: TallyPart): number {
    return Math.min(part.words.length, Math.max(14, part.words.length / 2 + 3)) * 0.44 + 1.6;
  }
</script>

<div
  class="flex min-w-0 flex-none overflow-hidden rounded-[9px] max-md:flex-wrap border border-line bg-card"
  role="group"
  aria-label={label}
>
  {#each parts as part (part.key)}
    <button
      type="button"
      class={`max-w-full min-w-min shrink border-r-2 border-paper px-2.5 py-1 text-left leading-tight last:border-r-0 ${tones[part.tone]}`}
      class:chosen={chosen === part.key}
      style:flex-grow={grow(part)}
      style:flex-basis={`${room(part)}rem`}
      aria-pressed={chosen === part.key}
      onclick={() => onchoose(part.key)}
    >
      <span class="block text-[1.07rem] font-bold">{count(part.count)}</span>
      <span class="block text-[0.8rem] text-balance">{part.words}</span>
    </button>
  {/each}
</div>

<style>
  .striped {
    background: repeating-linear-gradient(135deg, var(--kelp-pale) 0 6px, var(--card) 6px 12px);
  }
  button:hover {
    filter: brightness(0.97);
  }
  button:focus-visible {
    outline-offset: -3px;
  }
  .chosen {
    box-shadow: inset 0 -3px 0 var(--ink);
  }
</style>
