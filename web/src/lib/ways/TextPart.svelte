<script lang="ts">
  import type { CheckResult, MergeFieldName, Proof } from '$lib/api/types';
  import type { Hints } from '$lib/editor/picking';
  import LateEditor from '$lib/editor/LateEditor.svelte';
  import type { Writing } from '$lib/draft/writing.svelte';
  import { textSums } from './sums';

  interface Props {
    text: Writing['text'];
    onwrite: (text: Partial<Writing['text']>) => void;
    /** Whether it is for one person alone: how it goes to all others is not asked here. */
    own?: boolean;
    fields: MergeFieldName[];
    hints: Hints;
    check: CheckResult | undefined;
    /** The proof of whoever is looked at, where that is a text. */
    proof: Proof | undefined;
    editable: boolean;
    /** Whether it is written alone, with no mail beside it. */
    alone: boolean;
    /** How far it is saved, where nothing above says so. */
    saved: string;
  }

  let {
    text,
    onwrite,
    own = false,
    fields,
    hints,
    check,
    proof,
    editable,
    alone,
    saved
  }: Props = $props();
  const sums = $derived(textSums(check?.texts ?? null));
  const longer = $derived(check?.texts?.sum.longer ?? []);
  const mendable = $derived(longer.filter((one) => one.likeness !== null));
  /** Of these some stand in the words themselves; the others come with what is merged in. */
  const inWords = $derived(mendable.some((one) => text.words.includes(one.character)));
  /** Characters become plain for all, not for one. */
  const mends = $derived(editable && !own);
  const quiet = 'min-h-[24px] font-semibold text-kelp hover:underline';
</script>

<section
  class={`flex min-h-0 flex-col ${alone ? 'flex-1' : 'max-h-[48%] min-h-36 flex-none border-t border-line'}`}
  aria-label="Text message"
>
  <p class="flex flex-none justify-between px-3.5 pt-1.5 text-[0.87rem] text-soft">
    Text message {#if alone}<span data-saved>{saved}</span>{/if}
  </p>
  <LateEditor
    value={text.words}
    {fields}
    {hints}
    label="Text message"
    lines
    readonly={!editable}
    onchange={(words) => onwrite({ words })}
  />
  <div
    class="flex flex-none flex-wrap gap-x-4 border-t border-line-soft px-3.5 py-1 text-[0.87rem] text-soft"
    aria-live="polite"
  >
    {#if proof?.phone}
      <span
        >{proof.toName}: {proof.phone.parts === 1 ? '1 part' : `${proof.phone.parts} parts`}, {proof
          .phone.left} left</span
      >
    {/if}
    {#each own ? [] : sums as sum (sum)}<span>{sum}</span>{/each}
    {#if mends && text.likeness !== 'NOWHERE'}
      <span>
        {text.likeness === 'VALUES' ? 'Plain characters in values' : 'Plain characters'}
        <button type="button" class={quiet} onclick={() => onwrite({ likeness: 'NOWHERE' })}
          >Send as written</button
        >
      </span>
    {:else if mends && mendable.length}
      <span class="text-ochre">
        {mendable.map((one) => `“${one.character}”`).join(' ')} make{mendable.length === 1
          ? 's'
          : ''} texts longer.
        <button type="button" class={quiet} onclick={() => onwrite({ likeness: 'EVERYWHERE' })}
          >Send plain ones instead</button
        >
        {#if inWords}
          <button
            type="button"
            class={`${quiet} ms-2`}
            onclick={() => onwrite({ likeness: 'VALUES' })}>In values only</button
          >
        {/if}
      </span>
    {/if}
  </div>
</section>
