<script lang="ts">
  import type { FollowRule } from '$lib/api/types';
  import { dayAndTime } from '$lib/format/dates';
  import { count } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';
  import RulePeople from './RulePeople.svelte';
  import { partsOf } from './rules';

  interface Props {
    mailingId: number;
    rule: FollowRule;
    editable: boolean;
    onedit: () => void;
  }

  let { mailingId, rule, editable, onedit }: Props = $props();

  let shown = $state<'WILL' | 'DONE' | 'NOT' | null>(null);
  const parts = $derived(partsOf(rule));

  const WORDS = {
    WILL: (n: number) => `${count(n)} to come`,
    DONE: (n: number) => `${count(n)} done`,
    NOT: (n: number) => `${count(n)} no longer meant`
  };
</script>

<li class="flex gap-2">
  <span class="text-soft tabular-nums">{rule.place}.</span>
  <div class="min-w-0">
    <button
      type="button"
      class={`text-left enabled:hover:underline ${rule.stopped ? 'text-soft line-through' : ''}`}
      disabled={!editable}
      onclick={onedit}
    >
      {rule.words}
      {#if rule.except.length}
        <span class="text-soft">– except {rule.except.map((p) => p.words).join(', ')}</span>
      {/if}
    </button>
    {#each rule.errors as error (error)}<p class="text-brick">{error}</p>{/each}
    <p class="flex flex-wrap gap-x-3 text-[0.87rem] text-soft">
      {#if rule.stopped}<span>stopped</span>{/if}
      {#each parts as part (part.which)}
        <button
          type="button"
          class="min-h-[24px] font-semibold text-kelp hover:underline"
          onclick={() => (shown = part.which)}>{WORDS[part.which](part.people)}</button
        >
      {/each}
      {#if rule.first && rule.will}
        <span>from {dayAndTime(rule.first, session.zone)}</span>
      {/if}
    </p>
  </div>
</li>
{#if shown}
  <RulePeople
    bind:open={() => shown !== null, (is) => (shown = is ? shown : null)}
    {mailingId}
    {rule}
    which={shown}
  />
{/if}
