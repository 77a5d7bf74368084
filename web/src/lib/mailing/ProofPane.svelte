<script lang="ts">
  import type { Proof } from '$lib/api/types';
  import { count } from '$lib/format/numbers';
  import Panel from '$lib/ui/Panel.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';

  interface Props {
    proof: Proof | undefined;
    error: unknown;
    /** Which of the list it is, from 1; 0 when it is not in the list. */
    place: number;
    of: number;
    onstep: (step: number) => void;
  }

  let { proof, error, place, of, onstep }: Props = $props();
  type View = 'Screen' | 'Phone' | 'Text';
  const views: View[] = ['Screen', 'Phone', 'Text'];
  let view = $state<View>('Screen');
</script>

<Panel title={place ? `Proof ${count(place)} of ${count(of)}` : 'Proof'}>
  {#snippet aside()}
    <span class="flex items-center gap-2.5">
      <span class="whitespace-nowrap">
        <button
          type="button"
          class="px-1 hover:text-ink"
          onclick={() => onstep(-1)}
          aria-label="Proof before"
          >◂ <kbd class="rounded border border-current px-1 text-[0.7rem]">k</kbd></button
        >
        <button
          type="button"
          class="px-1 hover:text-ink"
          onclick={() => onstep(1)}
          aria-label="Next proof"
          ><kbd class="rounded border border-current px-1 text-[0.7rem]">j</kbd> ▸</button
        >
      </span>
      <span class="flex gap-1.5" role="group" aria-label="How it is shown">
        {#each views as name (name)}
          <button
            type="button"
            class={view === name ? 'font-semibold text-ink underline' : 'hover:text-ink'}
            aria-pressed={view === name}
            onclick={() => (view = name)}>{name}</button
          >
        {/each}
      </span>
    </span>
  {/snippet}
  {#if error}
    <Trouble {error} />
  {:else if proof}
    <div class="flex h-full min-h-80 flex-col p-3">
      <p class="truncate text-[0.87rem]" data-proof-to>
        <span class="text-soft">To</span>
        {proof.toName} &lt;{proof.toAddress}&gt;
      </p>
      <p class="truncate text-[0.87rem]">
        <span class="text-soft">From</span>
        {proof.fromName} &lt;{proof.fromAddress}&gt;
      </p>
      <p class="mb-2 font-semibold break-words" data-proof-subject>{proof.subject}</p>
      {#if proof.missing.length}
        <p class="mb-2 rounded-md bg-ochre-pale px-2.5 py-1 text-[0.87rem] text-ochre">
          Not known, and nothing stands in for it: {proof.missing
            .map((m) => m.replaceAll('_', ' '))
            .join(', ')}.
        </p>
      {/if}
      {#if view === 'Text'}
        <!-- What scrolls must be reachable by key. -->
        <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
        <pre
          class="min-h-0 flex-1 overflow-y-auto rounded-md border border-line p-3 text-[0.87rem] whitespace-pre-wrap"
          tabindex="0">{proof.text}</pre>
      {:else}
        <!-- Nothing in it can run or reach this page. -->
        <iframe
          title="The message as it will leave"
          class={`min-h-0 flex-1 rounded-md border border-line bg-white ${view === 'Phone' ? 'mx-auto w-[320px] max-w-full' : 'w-full'}`}
          sandbox=""
          srcdoc={proof.html}
        ></iframe>
      {/if}
    </div>
  {:else}
    <p class="p-4 text-soft">Choose a person to see their message.</p>
  {/if}
</Panel>
