<script lang="ts">
  import { page } from '$app/state';
  import { instead } from '$lib/api/instead';
  import DocumentForm from '$lib/document/DocumentForm.svelte';
  import { documentQuery } from '$lib/document/documents';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  const query = createQuery(() => documentQuery(Number(page.params.id)));
  const known = $derived({ data: query.data, error: query.error });
</script>

{#if instead(known)}
  <Trouble error={known.error} onretry={() => query.refetch()} />
{:else if known.data}
  {#key known.data.id}<DocumentForm document={known.data} />{/key}
{/if}
