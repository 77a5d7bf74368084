<script lang="ts">
  import type { Proof } from '$lib/api/types';
  import ProofViews from '$lib/letter/ProofViews.svelte';
  import NoticeProof from './NoticeProof.svelte';
  import PaperProof from './PaperProof.svelte';
  import PhoneProof from './PhoneProof.svelte';
  import { byWay } from './ways';

  interface Props {
    proof: Proof;
    /** Whose proof it is, where its sheets can be looked at. */
    mailingId?: number;
    /** Whether the way or the subject stands above it, where nothing else says so. */
    headed?: boolean;
  }

  let { proof, mailingId, headed = true }: Props = $props();
</script>

{#if headed && (proof.phone || proof.notice)}
  <p class="mb-1.5 text-[0.9rem] text-soft">{byWay(proof.channel)}</p>
{:else if headed}
  <p class="mb-1.5 font-semibold break-words" data-proof-subject>{proof.subject}</p>
{/if}
{#if proof.phone}
  <PhoneProof phone={proof.phone} />
{:else if proof.notice}
  <NoticeProof notice={proof.notice} />
{:else if proof.paper && mailingId}
  <PaperProof {proof} paper={proof.paper} {mailingId} />
{:else}
  <ProofViews {proof} />
{/if}
