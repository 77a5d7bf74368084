<script lang="ts">
  import type { Proof } from '$lib/api/types';
  import { count, octets } from '$lib/format/numbers';
  import Panel from '$lib/ui/Panel.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import MissingValues from './MissingValues.svelte';
  import WayProof from '$lib/ways/WayProof.svelte';
  import { byWay, proofTo } from '$lib/ways/ways';

  interface Props {
    mailingId: number;
    proof: Proof | undefined;
    /** Who is chosen and gets nothing; null when there is a proof. */
    getsNothing: { name: string; why: string } | null;
    error: unknown;
    /** Which of the list it is, from 1; 0 when it is not in the list. */
    place: number;
    of: number;
    editable: boolean;
    onstep: (step: number) => void;
    /** Something on record was mended. */
    onmended: () => void;
    onown: () => void;
    ondropown: () => void;
  }

  let {
    mailingId,
    proof,
    getsNothing,
    error,
    place,
    of,
    editable,
    onstep,
    onmended,
    onown,
    ondropown
  }: Props = $props();
  const first = $derived(proof?.toName.split(' ')[0] ?? '');
  const quiet = 'font-semibold text-kelp hover:underline';
</script>

<Panel title={place ? `Proof ${count(place)} of ${count(of)}` : 'Proof'}>
  {#snippet aside()}
    <span class="whitespace-nowrap">
      <button
        type="button"
        class="px-1 hover:text-ink"
        onclick={() => onstep(-1)}
        aria-label="Proof before"
        >◂ <kbd class="rounded border border-current px-1 text-[0.7rem]">p</kbd></button
      >
      <button
        type="button"
        class="px-1 hover:text-ink"
        onclick={() => onstep(1)}
        aria-label="Next proof"
        ><kbd class="rounded border border-current px-1 text-[0.7rem]">n</kbd> ▸</button
      >
    </span>
  {/snippet}
  {#if getsNothing}
    <p class="p-4"><strong>{getsNothing.name}</strong> gets nothing: {getsNothing.why}.</p>
  {:else if error}
    <Trouble {error} />
  {:else if proof}
    <div class="flex h-full min-h-80 flex-col p-3">
      <p class="truncate text-[0.87rem]" title={proofTo(proof)} data-proof-to>
        <span class="text-soft">To</span>
        {proofTo(proof)}
      </p>
      {#if proof.before.length}
        <p class="truncate text-[0.87rem] text-soft" title={proof.before.join('; ')}>
          {byWay(proof.channel)}, since {proof.before.join('; ').toLowerCase()}
        </p>
      {/if}
      {#if proof.channel === 'EMAIL'}
        <p class="truncate text-[0.87rem]" title={`${proof.fromName} <${proof.fromAddress}>`}>
          <span class="text-soft">From</span>
          {proof.fromName} &lt;{proof.fromAddress}&gt;{#if proof.replyAddress}<span
              class="text-soft">, replies to {proof.replyAddress}</span
            >{/if}
        </p>
        <p class="mb-2 font-semibold break-words" data-proof-subject>{proof.subject}</p>
      {/if}
      {#if proof.missing.length}
        <!-- What is being filled in for one person is never put on record with the next. -->
        {#key proof.personId}
          <MissingValues
            personId={proof.personId}
            name={proof.toName}
            missing={proof.missing}
            {editable}
            {onmended}
          />
        {/key}
      {/if}
      <WayProof {proof} {mailingId} headed={false} />
      <p class="mt-2 flex flex-wrap gap-x-3 text-[0.87rem]">
        {#if editable && proof.ownWords}
          <button type="button" class={quiet} onclick={onown}>Own wording for {first} only</button>
          <button type="button" class={quiet} onclick={ondropown}>Go back to the shared text</button
          >
          {#if proof.oldWords}
            <span class="text-ochre">The shared text has changed since.</span>
          {/if}
        {:else if editable}
          <button type="button" class={quiet} onclick={onown}>Change it for {first} only</button>
        {/if}
        {#if proof.channel === 'EMAIL'}
          <span class="ms-auto text-soft">
            {octets(proof.octets)}{#each proof.files as file, i (i)}
              · {file.name}{/each}
          </span>
        {/if}
      </p>
    </div>
  {:else}
    <p class="p-4 text-soft">
      {place ? 'One moment …' : 'Choose a person to see their message.'}
    </p>
  {/if}
</Panel>
