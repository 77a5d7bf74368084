<script lang="ts">
  import { searches } from '$lib/list/search.svelte';
  import { nobody } from '$lib/list/selection';
  import { session } from '$lib/session/session.svelte';
  import Popup from '$lib/ui/Popup.svelte';

  interface Props {
    onnew: () => void;
  }

  let { onnew }: Props = $props();

  const search = searches.people;
  let open = $state(false);

  const entry = 'block w-full rounded px-2 py-1 text-left hover:bg-kelp-pale';

  function showArchived() {
    search.archived = !search.archived;
    search.selection = nobody;
    open = false;
  }
</script>

{#each [['/quotes', 'Quotes'], ['/events', 'Events'], ['/lists', 'Lists']] as [path, name] (path)}
  <a class="min-h-6 font-semibold text-kelp hover:underline max-lg:hidden" href={path}>{name}</a>
{/each}
{#if session.may('IMPORT')}
  <a class="min-h-6 font-semibold text-kelp hover:underline" href="/people/import">Import</a>
{/if}
<Popup bind:open label="More about people" right>
  {#snippet trigger(toggle)}
    <button type="button" class="min-h-6 font-semibold text-kelp hover:underline" onclick={toggle}
      >More ▾</button
    >
  {/snippet}
  {#if session.may('CHANGE_PEOPLE')}
    <button type="button" class={entry} onclick={() => ((open = false), onnew())}>New person</button
    >
  {/if}
  <a class={`${entry} lg:hidden`} href="/quotes">Quotes</a>
  <a class={`${entry} lg:hidden`} href="/events">Events</a>
  <a class={`${entry} lg:hidden`} href="/lists">Lists</a>
  <a class={entry} href="/people/sign-ups">Sign-up pages</a>
  <button type="button" class={entry} onclick={showArchived}>
    {search.archived ? 'Show those on record' : 'Show the archived'}
  </button>
</Popup>
