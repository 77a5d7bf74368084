<script lang="ts">
  import type { Preview } from '$lib/api/types';
  import Gaps from '$lib/letter/Gaps.svelte';
  import ProofViews from '$lib/letter/ProofViews.svelte';
  import { peopleNamed } from '$lib/api/named';
  import Panel from '$lib/ui/Panel.svelte';
  import Popup from '$lib/ui/Popup.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { Input } from 'flowbite-svelte';

  interface Props {
    preview: Preview | undefined;
    error: unknown;
    /** As somebody else. */
    onperson: (id: number) => void;
  }

  let { preview, error, onperson }: Props = $props();
  let open = $state(false);
  let words = $state('');
  const found = createQuery(() => peopleNamed(words, [], open));

  function choose(id: number) {
    open = false;
    onperson(id);
  }
</script>

<Panel title="Proof">
  {#snippet aside()}
    <Popup bind:open label="As whom" right>
      {#snippet trigger(toggle)}
        <button type="button" class="hover:underline" aria-expanded={open} onclick={toggle}>
          as {preview?.personName ?? 'somebody'} ▾
        </button>
      {/snippet}
      <Input bind:value={words} placeholder="Name" aria-label="As whom" />
      <ul class="mt-1 text-left">
        {#each (found.data ?? []).slice(0, 8) as person (person.id)}
          <li>
            <button
              type="button"
              class="w-full rounded px-2 py-1 text-left hover:bg-shade"
              onclick={() => choose(person.id)}>{person.name}</button
            >
          </li>
        {/each}
      </ul>
    </Popup>
  {/snippet}
  {#if error && !preview}
    <Trouble {error} />
  {:else if preview}
    <div class="flex h-full min-h-80 flex-col p-3">
      <p class="mb-2 font-semibold break-words" data-proof-subject>{preview.subject}</p>
      {#each preview.errors as sentence (sentence)}
        <p class="mb-2 rounded-md bg-brick-pale px-2.5 py-1 text-[0.87rem] text-brick">
          {sentence}
        </p>
      {/each}
      <Gaps missing={preview.missing} later={preview.later} />
      <ProofViews proof={preview} dark />
    </div>
  {/if}
</Panel>
