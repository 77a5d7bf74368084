<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { occasionsQuery } from '$lib/api/queries';
  import type { OccasionTurn } from '$lib/api/types';
  import OwnStep from '$lib/series/OwnStep.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import WayProof from '$lib/ways/WayProof.svelte';
  import { sharedOn } from '$lib/ways/ways';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';

  interface Props {
    turn: OccasionTurn;
    mayWrite: boolean;
    onclose: () => void;
  }

  let { turn, mayWrite, onclose }: Props = $props();
  const queries = useQueryClient();
  let open = $state(true);
  let rewording = $state(false);

  const proof = createQuery(() => ({
    queryKey: ['occasion-turns', 'proof', turn.causeId, turn.personId],
    queryFn: () =>
      answer(
        api.GET('/api/mailings/{id}/proofs/{personId}', {
          params: { path: { id: turn.causeId, personId: turn.personId } }
        })
      )
  }));
  const occasions = createQuery(occasionsQuery);
  const shared = $derived(occasions.data?.find((o) => o.causeId === turn.causeId));
  const mayReword = $derived(mayWrite && ['AWAITS', 'NODDED', 'MISSED'].includes(turn.state));
</script>

<Ask
  bind:open={() => open && !rewording, (is) => ((open = is), is || rewording || onclose())}
  title={`${turn.name ?? 'Somebody'}: ${turn.occasion}`}
  wide
>
  {#if proof.error}
    <Trouble error={proof.error} onretry={() => proof.refetch()} />
  {:else if proof.data}
    <div class="flex h-[28rem] flex-col">
      <WayProof proof={proof.data} mailingId={turn.causeId} />
    </div>
  {/if}
  {#snippet actions()}
    {#if mayReword && shared && proof.data}
      <HouseButton onclick={() => (rewording = true)}
        >Other words for {(turn.name ?? 'them').split(' ')[0]}</HouseButton
      >
    {/if}
    <HouseButton weight="main" onclick={onclose}>Close</HouseButton>
  {/snippet}
</Ask>
{#if rewording && shared && proof.data}
  <OwnStep
    bind:open={rewording}
    cause={turn.causeId}
    person={{ id: turn.personId, name: turn.name ?? 'them' }}
    channel={proof.data.channel}
    shared={sharedOn(
      proof.data.channel,
      { subject: shared.occasion.subject, body: shared.wholeBody },
      shared.occasion.ways
    )}
    onsaved={() => void queries.invalidateQueries({ queryKey: ['occasion-turns'] })}
  />
{/if}
