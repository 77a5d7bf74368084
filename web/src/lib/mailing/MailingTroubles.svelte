<script lang="ts">
  import type { Autosave } from '$lib/draft/autosave.svelte';
  import type { Writing } from '$lib/draft/writing.svelte';
  import Overtaken from '$lib/message/Overtaken.svelte';
  import type { OwnWriting } from '$lib/message/own.svelte';
  import { session } from '$lib/session/session.svelte';
  import { untrack } from 'svelte';

  interface Props {
    writing: Writing;
    own: OwnWriting;
    ontaketheirs: () => void;
  }

  let { writing, own, ontaketheirs }: Props = $props();
  const act = 'ms-2 min-h-[26px] font-semibold text-brick hover:underline';

  // What could not be sent while nobody was signed in is sent now.
  $effect(() => {
    if (session.resumed) untrack(() => void writing.save().then(() => own.save()));
  });
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
<Overtaken
  open={writing.autosave.overtaken}
  says={writing.autosave.trouble ?? ''}
  mine={{ subject: writing.subject, body: writing.body }}
  theirs={() => writing.theirs()}
  onkeep={() => writing.keepMine()}
  ontake={ontaketheirs}
/>
<Overtaken
  open={own.autosave.overtaken}
  says={own.autosave.trouble ?? ''}
  mine={{ subject: own.subject, body: own.body }}
  theirs={() => own.theirs()}
  onkeep={() => own.keepMine()}
  ontake={() => own.takeTheirs()}
/>
{@render notSaved(writing.autosave)}
{@render notSaved(own.autosave)}
