<script lang="ts" module>
  /** The sides of a mailing, of which a narrow screen shows one. */
  export type Side = 'who' | 'message' | 'proof' | 'plan';
</script>

<script lang="ts">
  interface Props {
    side: Side;
    isDraft: boolean;
    onchoose: (side: Side) => void;
  }

  let { side, isDraft, onchoose }: Props = $props();
  const sides = $derived<{ key: Side; name: string }[]>([
    { key: 'who', name: 'Who' },
    { key: 'message', name: 'Message' },
    { key: 'proof', name: 'Proof' },
    { key: 'plan', name: isDraft ? 'Plan' : 'Under way' }
  ]);
</script>

<nav class="panel flex flex-none lg:hidden" aria-label="Sides of the mailing">
  {#each sides as one (one.key)}
    <button
      type="button"
      class={`min-h-[44px] flex-1 border-b-2 ${one.key === side ? 'border-kelp font-semibold' : 'border-transparent text-soft'}`}
      aria-current={one.key === side ? 'true' : undefined}
      onclick={() => onchoose(one.key)}>{one.name}</button
    >
  {/each}
</nav>
