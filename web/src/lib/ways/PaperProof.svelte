<script lang="ts">
  import type { Proof } from '$lib/api/types';
  import DocumentSheet from '$lib/document/DocumentSheet.svelte';
  import { count } from '$lib/format/numbers';

  interface Props {
    mailingId: number;
    proof: Proof;
    paper: NonNullable<Proof['paper']>;
  }

  let { mailingId, proof, paper }: Props = $props();
  const sheets = $derived(`/api/mailings/${mailingId}/proofs/${proof.personId}/sheets`);
  const query = $derived(`record=${proof.recordId}`);
  const pages = $derived(Array.from({ length: paper.pages }, (ignored, i) => i + 1));
  /** Asked anew when what stands on them is another. */
  const drawn = $derived(
    [...`${proof.subject}\n${proof.text}\n${paper.address.join('\n')}`].reduce(
      (sum, letter) => (sum * 31 + (letter.codePointAt(0) ?? 0)) % 2147483647,
      paper.pages
    )
  );
</script>

{#if paper.ofDocument}
  <p class="flex flex-wrap gap-x-3 text-[0.87rem] text-soft">
    <span>filled for {proof.toName}</span>
    <a
      class="font-semibold text-kelp hover:underline"
      href={`/api/mailings/${mailingId}/proofs/${proof.personId}/document?${query}`}
      download={`letter-${proof.personId}.docx`}>Download the document</a
    >
  </p>
  <DocumentSheet
    path={`/api/mailings/${mailingId}/proofs/${proof.personId}/document?${query}`}
    mark={String(drawn)}
    label={`The document as ${proof.toName} gets it`}
  />
{:else}
  <p class="flex flex-wrap gap-x-3 text-[0.87rem] text-soft">
    <span>{paper.pages === 1 ? '1 page' : `${count(paper.pages)} pages`}</span>
    <a
      class="font-semibold text-kelp hover:underline"
      href={`${sheets}?${query}`}
      target="_blank"
      rel="noopener">Open as a file</a
    >
  </p>
  {#if !paper.addressFits}
    <p class="text-[0.87rem] text-brick">The address does not fit the window, even at 7 points.</p>
  {/if}
  {#if paper.lacking}
    <p class="text-[0.87rem] text-brick">Has letters no font has: {paper.lacking}</p>
  {/if}
  <!-- What scrolls must be reachable by key. -->
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div
    class="mt-1 min-h-0 flex-1 overflow-y-auto rounded-md bg-shade p-2"
    tabindex="0"
    role="region"
    aria-label="The letter as it is printed"
  >
    {#each pages as page (page)}
      <img
        class="mx-auto mb-2 aspect-[0.707] w-full max-w-[34rem] border border-line bg-white object-contain"
        src={`${sheets}/${page}?${query}&drawn=${drawn}`}
        alt={page > 1 ? `Page ${page}` : [...paper.address, proof.subject, proof.text].join('\n')}
        data-proof-sheet
      />
    {/each}
  </div>
{/if}
