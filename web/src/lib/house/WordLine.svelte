<script lang="ts">
  import { Sending } from '$lib/ui/sending.svelte';
  import type { Snippet } from 'svelte';

  interface Props {
    name: string;
    mayChange: boolean;
    /** Whether so much else stands in its line that a phone shows it beneath. */
    crowded?: boolean;
    onrename: (name: string) => Promise<void>;
    /** What else stands in its line. */
    children?: Snippet;
  }

  let { name, mayChange, crowded = false, onrename, children }: Props = $props();
  const sending = new Sending();
  let typed = $state<string | null>(null);
  const link = 'min-h-6 font-semibold text-kelp hover:underline';

  const rename = (event: SubmitEvent) =>
    sending.send(event, async () => {
      if (typed !== null && typed.trim() !== name) await onrename(typed);
      typed = null;
    });

  /** Escape leaves it as it is, and closes nothing else. */
  function escape(event: KeyboardEvent) {
    if (event.key === 'Escape') {
      event.stopPropagation();
      typed = null;
    }
  }
</script>

<li class="flex min-h-9 flex-wrap items-center gap-x-3 border-b border-line-soft py-1">
  {#if typed === null}
    <span class={`min-w-20 flex-1 break-words ${crowded ? 'max-sm:basis-full' : ''}`}>{name}</span>
    {@render children?.()}
    {#if mayChange}
      <button
        type="button"
        class={link}
        aria-label={`Rename ${name}`}
        onclick={() => (typed = name)}>Rename</button
      >
    {/if}
  {:else}
    <form class="flex flex-1 flex-wrap items-center gap-2" onsubmit={rename}>
      <!-- svelte-ignore a11y_autofocus -->
      <input
        type="text"
        class="min-w-0 flex-1 rounded-md border-line bg-card px-2 py-1"
        aria-label={`New name of ${name}`}
        bind:value={typed}
        required
        maxlength={60}
        autofocus
        onkeydown={escape}
      />
      <button type="submit" class={link} disabled={sending.busy}>Rename it</button>
      <button type="button" class="min-h-6 text-soft hover:underline" onclick={() => (typed = null)}
        >Not now</button
      >
      {#if sending.of('name')}
        <span class="basis-full text-brick" role="alert">{sending.of('name')}</span>
      {/if}
    </form>
  {/if}
</li>
