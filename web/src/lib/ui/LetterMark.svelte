<script lang="ts" module>
  /** The letter shapes: what became of a message, always beside words. */
  export type Letter =
    | 'sent'
    | 'opened'
    | 'machine'
    | 'clicked'
    | 'replied'
    | 'away'
    | 'returned'
    | 'left'
    | 'waiting'
    | 'doubt';
</script>

<script lang="ts">
  interface Props {
    letter: Letter;
  }

  let { letter }: Props = $props();

  const open = $derived(letter === 'opened' || letter === 'clicked' || letter === 'machine');
  const bad = $derived(letter === 'returned' || letter === 'left');
</script>

<svg
  viewBox="0 0 18 16"
  width="17"
  height="15"
  aria-hidden="true"
  class={`inline-block flex-none ${bad ? 'text-brick' : letter === 'doubt' || letter === 'waiting' ? 'text-ochre' : letter === 'sent' || letter === 'away' || letter === 'machine' ? 'text-soft' : 'text-kelp'}`}
  fill="none"
  stroke="currentColor"
  stroke-width="1.6"
  stroke-linejoin="round"
  stroke-linecap="round"
>
  {#if open}
    <path
      d="M2 7l7-5 7 5v7H2z"
      stroke-dasharray={letter === 'machine' ? '2.2 2.2' : undefined}
      fill={letter === 'clicked'
        ? 'var(--kelp-light)'
        : letter === 'opened'
          ? 'var(--kelp-pale)'
          : 'none'}
    />
    {#if letter === 'clicked'}<path d="M6 10h6" />{/if}
  {:else if letter === 'replied'}
    <path d="M2 3h14v10H2z" fill="currentColor" />
    <path d="M10.5 5.5L7 8l3.500 2.500" stroke="var(--card)" />
  {:else}
    <path d="M2 3h14v10H2z" />
    {#if letter === 'returned'}<path d="M6.500 5.500l5 5m0-5l-5 5" />{/if}
    {#if letter === 'left'}<path d="M6 8h6" />{/if}
    {#if letter === 'away'}<path d="M5 8h.01M9 8h.01M13 8h.01" />{/if}
    {#if letter === 'waiting'}<path d="M9 5.500V8l2 1.500" />{/if}
    {#if letter === 'doubt'}<path
        d="M7.500 6.300c.2-1.500 3-1.300 2.900.2-.1 1-1.400 1-1.400 2.100M9 10.800h.01"
      />{/if}
  {/if}
</svg>
