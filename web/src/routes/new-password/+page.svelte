<script lang="ts">
  import { goto } from '$app/navigation';
  import { answer, api, ApiProblem } from '$lib/api/client';
  import type { LinkOwner } from '$lib/api/types';
  import PlainPage from '$lib/session/PlainPage.svelte';
  import NewPassword from '$lib/session/NewPassword.svelte';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { onMount } from 'svelte';

  // What follows the # is sent to no server but in what is asked below.
  const token = location.hash.slice(1);
  let owner = $state.raw<LinkOwner | null>(null);
  let gone = $state('');
  let password = $state('');
  let wrong = $state('');
  let busy = $state(false);

  const said = (error: unknown) => (error instanceof ApiProblem ? error.message : 'It failed.');

  onMount(async () => {
    try {
      await session.load();
      owner = await answer(api.POST('/api/password-links/look', { body: { token } }));
    } catch (error) {
      gone = said(error);
    }
  });

  async function set(event: SubmitEvent) {
    event.preventDefault();
    if (!owner) return;
    busy = true;
    wrong = '';
    try {
      await answer(api.POST('/api/password-links/use', { body: { token, password } }));
      await session.signIn(owner.login, password);
      await goto('/desk');
    } catch (error) {
      // Who has a second factor goes on where it is asked for.
      if (error instanceof ApiProblem && error.field === 'code') await goto('/sign-in');
      else if (error instanceof ApiProblem && error.status === 404) gone = said(error);
      else wrong = said(error);
    } finally {
      busy = false;
    }
  }
</script>

<PlainPage title="Set your password">
  {#if gone}
    <p role="alert">{gone}</p>
    <p class="mt-4"><a class="text-kelp underline" href="/sign-in">To the sign-in</a></p>
  {:else if owner}
    <p class="mb-5">
      {owner.name}, you sign in to {owner.house} as <strong>{owner.login}</strong>.
    </p>
    <form onsubmit={set}>
      <!-- For whatever keeps passwords. -->
      <input
        type="text"
        class="sr-only"
        autocomplete="username"
        value={owner.login}
        readonly
        tabindex="-1"
        aria-label="Login"
      />
      <NewPassword bind:password {wrong} />
      <HouseButton weight="main" type="submit" class="mt-5 w-full py-2" disabled={busy}
        >{busy ? 'One moment…' : 'Set it and go in'}</HouseButton
      >
    </form>
  {:else}
    <p class="text-soft">One moment …</p>
  {/if}
</PlainPage>
