<script lang="ts">
  import { goto } from '$app/navigation';
  import { outboxTallyQuery, summaryQuery } from '$lib/api/queries';
  import { responseParts } from '$lib/response/parts';
  import Tally, { type TallyPart } from '$lib/ui/Tally.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { outboxParts } from './outboxParts';

  interface Props {
    mailingId: number;
  }

  let { mailingId }: Props = $props();
  const summary = createQuery(() => summaryQuery(mailingId));
  const outbox = createQuery(() => outboxTallyQuery(mailingId));
  const parts = $derived<TallyPart[]>([
    ...outboxParts(outbox.data?.parts ?? []),
    ...(summary.data ? responseParts(summary.data) : [])
  ]);

  function show(key: string) {
    const inOutbox = key.startsWith('outbox:');
    void goto(inOutbox ? `/outbox?mailing=${mailingId}` : `/responses/${mailingId}?part=${key}`);
  }
</script>

{#if parts.length}
  <Tally label="Where the messages stand" {parts} onchoose={show} />
{/if}
