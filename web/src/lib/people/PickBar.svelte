<script lang="ts">
  import { count } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';

  interface Props {
    picked: number;
    /** All who match and can be written to. */
    ready: number;
    ontakeall: () => void;
    onletgo: () => void;
    onwrite: () => void;
  }

  let { picked, ready, ontakeall, onletgo, onwrite }: Props = $props();
  const mayWrite = $derived(session.colleague?.mayWrite ?? false);
</script>

<div
  class="flex min-h-[50px] flex-wrap items-center gap-3 rounded-[10px] bg-slate px-3.5 py-2 text-[#eceadf]"
  role="region"
  aria-label="Picked"
>
  {#if picked === 0}
    <span
      >Nobody picked. Tick some people, or
      <button type="button" class="font-semibold underline" onclick={ontakeall}
        >take all {count(ready)} who can be e-mailed</button
      >.</span
    >
  {:else}
    <strong class="text-white">{count(picked)} picked</strong>
    {#if picked < ready}
      <button type="button" class="hover:underline" onclick={ontakeall}
        >or take all {count(ready)}</button
      >
    {/if}
    <button type="button" class="hover:underline" onclick={onletgo}>let go</button>
    <span class="ms-auto"></span>
    {#if mayWrite}
      <button
        type="button"
        class="rounded-lg bg-[#55682a] px-3.5 py-1.5 font-semibold text-white hover:bg-[#66792f]"
        onclick={onwrite}
        >Write to them <kbd
          class="ms-1 rounded border border-current px-1 text-[0.7rem]"
          aria-hidden="true">w</kbd
        ></button
      >
    {:else}
      <span>Readers do not write to people; ask an administrator.</span>
    {/if}
  {/if}
</div>
