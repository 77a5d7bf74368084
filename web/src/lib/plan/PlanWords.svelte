<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { PlanView, SendPlan } from '$lib/api/types';
  import { keys } from '$lib/keys/keys.svelte';
  import { session } from '$lib/session/session.svelte';
  import { onMount, tick } from 'svelte';
  import { outcomeWords } from './planWords';

  interface Props {
    sheet: PlanView | undefined;
    editable: boolean;
    onchange: (plan: SendPlan) => void;
  }

  let { sheet, editable, onchange }: Props = $props();
  let typed = $state<string | null>(null);
  let wrong = $state('');
  let box = $state<HTMLInputElement>();
  let words = $state<HTMLButtonElement>();

  const outcome = $derived(sheet ? outcomeWords(sheet, session.zone) : '');

  async function write() {
    if (!editable) return;
    wrong = '';
    // Who types before the plan is there must not type into nothing.
    typed = sheet?.words ?? '';
    await tick();
    box?.select();
  }

  async function close() {
    typed = null;
    wrong = '';
    await tick();
    words?.focus();
  }

  /** Whether the plan is as it was typed now. */
  async function take(): Promise<boolean> {
    try {
      const query = { text: typed ?? '' };
      onchange(await answer(api.GET('/api/typed/plan', { params: { query } })));
      await close();
      return true;
    } catch (error) {
      wrong = error instanceof Error ? error.message : String(error);
      box?.focus();
      return false;
    }
  }

  async function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Escape') {
      event.stopPropagation();
      await close();
    } else if (event.key === 'Enter') {
      event.preventDefault();
      const releases = event.ctrlKey || event.metaKey;
      if ((await take()) && releases) keys.press('Ctrl+Enter');
    }
  }

  onMount(() => keys.use({ d: () => void write() }));
</script>

{#if typed !== null}
  <div class="flex flex-wrap items-center gap-x-3">
    <input
      class="h-8 min-w-40 flex-1 rounded-md border-line bg-card px-2 py-0 text-[0.95rem]"
      aria-label="The plan as a sentence"
      aria-describedby="plan-words-help"
      bind:this={box}
      bind:value={typed}
      {onkeydown}
    />
    <span
      id="plan-words-help"
      class={`text-[0.87rem] ${wrong ? 'text-brick' : 'text-soft'}`}
      role={wrong ? 'alert' : undefined}
      >{wrong || 'such as “tomorrow 9, 200 every 15 min”; Enter takes it'}</span
    >
  </div>
{:else if sheet}
  <p class="truncate" title={`${sheet.words}; ${outcome}`}>
    {#if editable}
      <button
        type="button"
        class="border-b-2 border-dotted border-kelp-mid text-kelp hover:border-solid"
        aria-label={`${sheet.words}: change the plan by typing it`}
        bind:this={words}
        onclick={write}>{sheet.words}</button
      >;
    {:else}{sheet.words};{/if}
    <span class={sheet.unplanned || sheet.doneBy?.met === false ? 'text-brick' : ''}>{outcome}</span
    >
  </p>
{/if}
