<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { Letters } from '$lib/api/types';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import LetterRunLine from './LetterRunLine.svelte';
  import { manyLetters } from '$lib/format/paper';

  interface Props {
    letters: Letters;
    onchanged: () => void;
  }

  let { letters, onchanged }: Props = $props();
  let duplex = $state(false);
  let order = $state<'POSTCODE' | 'NAME'>('POSTCODE');
  let busy = $state(false);

  const mayWrite = $derived(session.may('PRINT'));
  const params = $derived({ path: { id: letters.mailingId } });
  /** Those that somebody still has to do something about, the oldest first. */
  const open = $derived(
    letters.runs.filter((r) => !r.postedOn && (r.state !== 'DRAFT' || r.trouble)).reverse()
  );

  async function act(work: () => Promise<unknown>, said?: string) {
    busy = true;
    try {
      await work();
      if (said) notices.say(said);
    } catch (error) {
      notices.fail(error);
    } finally {
      busy = false;
      onchanged();
    }
  }

  const print = () =>
    act(() => answer(api.POST('/api/mailings/{id}/letters', { params, body: { duplex, order } })));
</script>

<section
  class="panel flex flex-none flex-col gap-2 px-3.5 py-2.5"
  aria-label={`Letters of ${letters.name}`}
>
  <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
    <a
      class="min-w-0 truncate font-semibold hover:underline"
      href={`/mailings/${letters.mailingId}`}>{letters.name}</a
    >
    {#if letters.toPrint}
      <span>{manyLetters(letters.toPrint)} to print</span>
      {#if mayWrite}
        <select
          class="ms-auto rounded-lg border-line bg-card py-1 ps-2.5 pe-8"
          aria-label="Order of the letters"
          bind:value={order}
        >
          <option value="POSTCODE">by postcode</option>
          <option value="NAME">by name</option>
        </select>
        <label class="flex items-center gap-1.5">
          <input type="checkbox" class="rounded border-line text-kelp" bind:checked={duplex} />
          both sides
        </label>
        <HouseButton disabled={busy} onclick={print}
          >Print {manyLetters(letters.toPrint)}</HouseButton
        >
      {/if}
    {/if}
  </div>
  {#each open as run (run.id)}
    <LetterRunLine {run} {mayWrite} {busy} onact={act} />
  {/each}
</section>
