<script lang="ts">
  import type { OutsideService } from '$lib/api/types';
  import type { Snippet } from 'svelte';

  interface Props {
    draft: OutsideService;
    /** What is wrong with a field. */
    wrong: Snippet<[string]>;
  }

  let { draft = $bindable(), wrong }: Props = $props();
  const id = $props.id();
  let open = $state(false);
  const box = 'min-w-0 rounded-lg border-line bg-card px-2.5 py-1.5';
</script>

<div class="col-span-full">
  <button
    type="button"
    class="min-h-[26px] text-kelp hover:underline"
    aria-expanded={open}
    aria-controls={id}
    onclick={() => (open = !open)}
    >{open ? 'Less' : 'More'} <span aria-hidden="true">{open ? '▴' : '▾'}</span></button
  >
</div>
{#if open}
  <div {id} class="contents">
    {#if draft.kind === 'MAILBOX'}
      <label class="col-span-full flex flex-col gap-1">
        Name by which the mail server signs what it found out about senders
        <input type="text" class={box} bind:value={draft.trustedServer} />
        <span class="text-[0.87rem] text-soft">shown beside replies; empty: nobody is believed</span
        >
        {@render wrong('trustedServer')}
      </label>
    {:else}
      <label class="flex flex-col gap-1">
        {draft.kind === 'MAIL_SERVER' ? 'Connections of each process' : 'Texts awaiting an answer'}
        <input type="number" class={box} bind:value={draft.lines} min="1" max="50" required />
        {@render wrong('lines')}
      </label>
    {/if}
    {#if draft.kind !== 'TEXT_SERVICE'}
      <label class="col-span-full flex flex-col gap-1">
        Certificates of those who vouch for it (PEM)
        <textarea
          class={`${box} h-24 font-mono text-[0.82rem] placeholder:text-soft`}
          placeholder="only where this machine does not know them"
          bind:value={draft.authority}
          spellcheck="false"
        ></textarea>
        {@render wrong('authority')}
      </label>
    {/if}
  </div>
{/if}
