<script lang="ts">
  import { page } from '$app/state';
  import { keys } from '$lib/keys/keys.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { goto } from '$app/navigation';

  const nowhere = $derived(page.status === 404);
</script>

<svelte:head
  ><title>{nowhere ? 'No such page' : 'Something went wrong'} · Jemble</title></svelte:head
>

<section class="panel m-auto max-w-xl p-6 text-center">
  <h1 class="mb-2 text-[1.4rem]">
    {nowhere ? 'There is no such page' : 'This page cannot be shown'}
  </h1>
  <p class="mb-4 text-soft">
    {#if nowhere}
      Nothing stands at <code class="break-all text-ink">{page.url.pathname}</code>. It may have
      been moved or mistyped.
    {:else}
      {page.error?.message ?? 'Something went wrong.'} Nothing you wrote is lost by that.
    {/if}
  </p>
  <p class="flex justify-center gap-3">
    <HouseButton onclick={() => (keys.finder = true)}>Find or do…</HouseButton>
    <HouseButton weight="main" onclick={() => goto('/desk')}>To the desk</HouseButton>
  </p>
</section>
