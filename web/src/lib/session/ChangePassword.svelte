<script lang="ts">
  import { answer, api, ApiProblem } from '$lib/api/client';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { Input, Label } from 'flowbite-svelte';
  import NewPassword from './NewPassword.svelte';

  interface Props {
    onchanged: () => void;
  }

  let { onchanged }: Props = $props();
  let current = $state('');
  let password = $state('');
  let wrong = $state.raw<{ field: string; words: string } | null>(null);
  let busy = $state(false);

  async function change(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    wrong = null;
    try {
      await answer(api.PUT('/api/colleagues/me/password', { body: { current, password } }));
      current = password = '';
      notices.say('Your password is changed. Wherever else you were signed in, it has ended.');
      onchanged();
    } catch (error) {
      if (error instanceof ApiProblem && error.field) {
        wrong = { field: error.field, words: error.message };
      } else notices.fail(error);
    } finally {
      busy = false;
    }
  }
</script>

<form class="panel max-w-md px-4 py-3" onsubmit={change} aria-label="Change your password">
  <h2 class="mb-3 text-[1rem]">Change your password</h2>
  <Label for="current-password" class="mb-1">The one you have now</Label>
  <Input
    id="current-password"
    type="password"
    class="mb-3"
    bind:value={current}
    autocomplete="current-password"
    required
    aria-describedby={wrong?.field === 'current' ? 'wrong-current' : undefined}
    aria-invalid={wrong?.field === 'current' ? 'true' : undefined}
  />
  {#if wrong?.field === 'current'}
    <p id="wrong-current" class="-mt-2 mb-3 text-brick" role="alert">{wrong.words}</p>
  {/if}
  <NewPassword bind:password wrong={wrong?.field === 'password' ? wrong.words : ''} />
  <HouseButton weight="main" type="submit" class="mt-4" disabled={busy}
    >Change the password</HouseButton
  >
</form>
