<script lang="ts">
  import { goto } from '$app/navigation';
  import type { Reach } from '$lib/api/types';
  import { beginLabelsOf } from '$lib/paper/begin';
  import { session } from '$lib/session/session.svelte';

  interface Props {
    mailingId: number;
    /** Why the mailing does not reach them. */
    reason: Reach;
  }

  let { mailingId, reason }: Props = $props();

  async function begin() {
    const path = await beginLabelsOf(mailingId, reason);
    if (path) await goto(path);
  }
</script>

{#if session.may('PRINT')}
  <button
    type="button"
    class="mt-1 min-h-6 text-[0.87rem] font-semibold text-kelp hover:underline"
    onclick={begin}>Print labels for them</button
  >
{/if}
