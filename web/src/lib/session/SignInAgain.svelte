<script lang="ts">
  import { ApiProblem } from '$lib/api/client';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { useQueryClient } from '@tanstack/svelte-query';
  import { Input, Label } from 'flowbite-svelte';
  import { session } from './session.svelte';

  interface Props {
    /** Somebody else wants to sign in instead. */
    onleave: () => void;
  }

  let { onleave }: Props = $props();
  const queries = useQueryClient();
  let password = $state('');
  let wrong = $state('');
  let busy = $state(false);

  async function signIn(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    wrong = '';
    try {
      await session.resume(password);
      password = '';
      await queries.invalidateQueries();
    } catch (error) {
      wrong = error instanceof ApiProblem ? error.message : 'Signing in failed.';
    } finally {
      busy = false;
    }
  }
</script>

<Ask bind:open={() => session.over, (is) => (session.over = is)} title="Sign in and go on">
  <form id="sign-in-again" onsubmit={signIn}>
    <p class="mb-3">
      Your session has ended, {session.colleague?.name}. What stands on the screen is still there.
    </p>
    <Label for="password-again" class="mb-1">Password</Label>
    <Input
      id="password-again"
      type="password"
      bind:value={password}
      autocomplete="current-password"
      required
      data-autofocus
      aria-describedby={wrong ? 'wrong-again' : undefined}
      aria-invalid={wrong ? 'true' : undefined}
    />
    {#if wrong}<p id="wrong-again" class="mt-2 text-brick" role="alert">{wrong}</p>{/if}
  </form>
  {#snippet actions()}
    <HouseButton onclick={onleave}>Somebody else signs in</HouseButton>
    <HouseButton weight="main" type="submit" form="sign-in-again" disabled={busy}>
      {busy ? 'One moment…' : 'Sign in'}
    </HouseButton>
  {/snippet}
</Ask>
