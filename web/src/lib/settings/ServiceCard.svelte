<script lang="ts">
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import type { Snippet } from 'svelte';

  interface Props {
    title: string;
    mayTry: boolean;
    /** Tries the way there; how it went in a sentence, and whether it failed. */
    onTry: () => Promise<{ words: string; failed: boolean }>;
    /** What is set. */
    children: Snippet;
  }

  let { title, mayTry, onTry, children }: Props = $props();
  let tried = $state.raw<{ words: string; failed: boolean } | null>(null);
  let trying = $state(false);

  async function tryOut() {
    trying = true;
    try {
      tried = await onTry();
    } catch (error) {
      notices.fail(error);
    } finally {
      trying = false;
    }
  }
</script>

<section class="panel p-4" aria-label={title}>
  <h2 class="mb-2 text-[1rem]">{title}</h2>
  {@render children()}
  {#if mayTry}
    <div class="mt-2">
      <HouseButton disabled={trying} onclick={tryOut}
        >{trying ? 'Testing…' : 'Test the connection'}</HouseButton
      >
    </div>
  {/if}
  <p class="mt-2" class:text-brick={tried?.failed} role="status">{tried?.words ?? ''}</p>
</section>
