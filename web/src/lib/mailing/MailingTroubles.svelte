<script lang="ts">
  import type { WholeMailing } from '$lib/api/types';
  import type { Autosave } from '$lib/draft/autosave.svelte';
  import type { Writing } from '$lib/draft/writing.svelte';
  import CompareDialog from '$lib/message/CompareDialog.svelte';
  import type { OwnWriting } from '$lib/message/own.svelte';
  import { session } from '$lib/session/session.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { untrack } from 'svelte';

  interface Props {
    writing: Writing;
    own: OwnWriting;
    ontaketheirs: () => void;
  }

  let { writing, own, ontaketheirs }: Props = $props();
  let theirs = $state.raw<WholeMailing | null>(null);
  const act = 'ms-2 min-h-[26px] font-semibold text-brick hover:underline';

  // What could not be sent while nobody was signed in is sent now.
  $effect(() => {
    if (session.resumed) untrack(() => void writing.save().then(() => own.save()));
  });

  async function compare() {
    try {
      theirs = await writing.theirs();
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<svelte:window
  onbeforeunload={(event) => {
    if (writing.saving !== 'saved' || own.saving !== 'saved') event.preventDefault();
  }}
/>

{#snippet notSaved(autosave: Autosave)}
  {#if autosave.trouble && !autosave.overtaken}
    <p class="rounded-lg bg-brick-pale px-3.5 py-2" role="alert">
      Not saved yet: {autosave.trouble}
      {#if autosave.again !== null}
        What you wrote is kept in this browser and sent again in {autosave.again} seconds.
      {/if}
      <button type="button" class={act} onclick={() => void autosave.save()}>Send it now</button>
    </p>
  {/if}
{/snippet}

{#if writing.kept}
  <p class="rounded-lg bg-ochre-pale px-3.5 py-2" role="status">
    What was written here last could not be saved, and somebody has changed the mailing since.
    <button type="button" class="ms-2 font-semibold text-ochre" onclick={() => writing.putKeptIn()}
      >Restore it</button
    >
    <button type="button" class="ms-2 text-soft" onclick={() => writing.forgetKept()}
      >Discard it</button
    >
  </p>
{/if}
{#if writing.autosave.overtaken}
  <p class="rounded-lg bg-brick-pale px-3.5 py-2" role="alert">
    {writing.autosave.trouble}
    <button
      type="button"
      class={act}
      onclick={() => writing.keepMine().catch((error: unknown) => notices.fail(error))}
      >Keep mine</button
    >
    <button type="button" class={act} onclick={ontaketheirs}>Take theirs</button>
    <button type="button" class={act} onclick={compare}>Compare</button>
  </p>
{/if}
{@render notSaved(writing.autosave)}
{@render notSaved(own.autosave)}
{#if theirs}
  <CompareDialog
    bind:open={() => theirs !== null, (is) => (theirs = is ? theirs : null)}
    title="Theirs and mine"
    before={{ name: 'theirs', subject: theirs.subject, body: theirs.body }}
    after={{ name: 'mine', subject: writing.subject, body: writing.body }}
  />
{/if}
