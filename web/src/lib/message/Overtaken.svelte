<script lang="ts">
  import { notices } from '$lib/ui/notices.svelte';
  import CompareDialog from './CompareDialog.svelte';

  interface Words {
    subject: string;
    body: string;
  }

  interface Props {
    /** Whether somebody else saved while one was writing. */
    open: boolean;
    /** What the server said to it. */
    says: string;
    mine: Words;
    /** What stands at the server now. */
    theirs: () => Promise<Words>;
    onkeep: () => Promise<void>;
    ontake: () => void | Promise<void>;
  }

  let { open, says, mine, theirs, onkeep, ontake }: Props = $props();
  let compared = $state.raw<Words | null>(null);
  const act = 'ms-2 min-h-[26px] font-semibold text-brick hover:underline';

  async function tried(work: () => void | Promise<void>) {
    try {
      await work();
    } catch (error) {
      notices.fail(error);
    }
  }

  async function compare() {
    compared = await theirs();
  }
</script>

{#if open}
  <p class="rounded-lg bg-brick-pale px-3.5 py-2" role="alert">
    {says}
    <button type="button" class={act} onclick={() => tried(onkeep)}>Keep mine</button>
    <button type="button" class={act} onclick={() => tried(ontake)}>Take theirs</button>
    <button type="button" class={act} onclick={() => tried(compare)}>Compare</button>
  </p>
{/if}
{#if compared}
  <CompareDialog
    bind:open={() => compared !== null, (is) => (compared = is ? compared : null)}
    title="Theirs and mine"
    before={{ name: 'theirs', ...compared }}
    after={{ name: 'mine', ...mine }}
  />
{/if}
