<script lang="ts">
  import { instead } from '$lib/api/instead';
  import { page } from '$app/state';
  import { seriesQuery } from '$lib/api/queries';
  import SeriesScreen from '$lib/series/SeriesScreen.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  const id = $derived(Number(page.params.id));
  const query = createQuery(() => seriesQuery(id));
</script>

{#if instead(query)}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if query.data}
  {#key query.data.id}<SeriesScreen series={query.data} />{/key}
{/if}
