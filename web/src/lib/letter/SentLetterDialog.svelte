<script lang="ts">
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { sentLetterQuery } from './sentLetter';
  import ProofViews from './ProofViews.svelte';

  interface Props {
    /** The message to look at; null for none. */
    messageId: number | null;
  }

  let { messageId = $bindable() }: Props = $props();
  const letter = createQuery(() => sentLetterQuery(messageId));
</script>

<Ask
  bind:open={() => messageId !== null, (open) => (messageId = open ? messageId : null)}
  title={letter.data?.subject ?? 'The letter'}
  wide
>
  {#if letter.error}
    <Trouble error={letter.error} onretry={() => letter.refetch()} />
  {:else}
    <p class="mb-2 text-[0.87rem] text-soft">
      As it looked. Links lead nowhere here, and looking counts nothing.
      <a class="text-kelp underline" href={`/api/messages/${messageId}/eml`}>As a file (.eml)</a>
    </p>
    <div class="flex h-[60dvh] flex-col">
      {#if letter.data}<ProofViews proof={letter.data} />{/if}
    </div>
  {/if}
  {#snippet actions()}
    <HouseButton first onclick={() => (messageId = null)}>Close</HouseButton>
  {/snippet}
</Ask>
