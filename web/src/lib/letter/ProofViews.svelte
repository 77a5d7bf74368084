<script lang="ts">
  import { darkened, framed } from './framed';

  interface Props {
    proof: { html: string; text: string; headers?: string[] };
    /** Whether it can also be seen as in a dark room. */
    dark?: boolean;
  }

  let { proof, dark = false }: Props = $props();
  type View = 'Screen' | 'Phone' | 'Dark' | 'Text' | 'Headers';
  const views = $derived<View[]>([
    'Screen',
    'Phone',
    ...(dark ? (['Dark'] as const) : []),
    'Text',
    ...(proof.headers ? (['Headers'] as const) : [])
  ]);
  let view = $state<View>('Screen');
  const words = $derived(view === 'Headers' ? (proof.headers ?? []).join('\n') : proof.text);
</script>

<div class="mb-1.5 flex gap-2.5 text-[0.85rem] text-soft" role="group" aria-label="How it is shown">
  {#each views as name (name)}
    <button
      type="button"
      class={view === name ? 'font-semibold text-ink underline' : 'hover:text-ink'}
      aria-pressed={view === name}
      onclick={() => (view = name)}>{name}</button
    >
  {/each}
</div>
{#if view === 'Text' || view === 'Headers'}
  <!-- What scrolls must be reachable by key. -->
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <pre
    class="min-h-0 flex-1 overflow-y-auto rounded-md border border-line p-3 text-[0.87rem] break-words whitespace-pre-wrap"
    tabindex="0">{words}</pre>
{:else}
  <!-- Nothing in it can run or reach this page. -->
  <iframe
    title="The message as it will leave"
    class={`min-h-0 flex-1 rounded-md border border-line bg-white ${view === 'Phone' ? 'mx-auto w-[320px] max-w-full' : 'w-full'}`}
    sandbox=""
    srcdoc={framed(view === 'Dark' ? darkened(proof.html) : proof.html)}
  ></iframe>
{/if}
