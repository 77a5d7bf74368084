<script lang="ts">
  import { goto } from '$app/navigation';
  import { letterheadsQuery } from '$lib/api/queries';
  import Stamp from '$lib/letterhead/Stamp.svelte';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  const query = createQuery(letterheadsQuery);
  const mayWrite = $derived(session.may('TEMPLATES'));
</script>

<PageHead title="Letterheads" words="What stands around a message: colours, logo, and words.">
  {#snippet actions()}
    {#if mayWrite}
      <HouseButton weight="main" onclick={() => goto('/letterheads/new')}
        >New letterhead</HouseButton
      >
    {/if}
  {/snippet}
</PageHead>
{#if query.error}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else}
  <ul class="grid grid-cols-4 gap-3 max-lg:grid-cols-2 max-sm:grid-cols-1">
    {#each query.data ?? [] as letterhead (letterhead.id)}
      <li>
        <a href={`/letterheads/${letterhead.id}`} class="panel block p-3 hover:border-kelp-mid">
          <Stamp {letterhead} />
          <span class="mt-2 block font-semibold">{letterhead.name}</span>
          <span class="block text-[0.87rem] text-soft">
            {letterhead.used === 0
              ? 'not used yet'
              : letterhead.used === 1
                ? 'used once'
                : `used ${letterhead.used} times`}
          </span>
        </a>
      </li>
    {/each}
  </ul>
  <p class="text-soft">A mailing without a letterhead looks as if it had been written by hand.</p>
{/if}
