<script lang="ts">
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { useQueryClient } from '@tanstack/svelte-query';
  import { Sending } from '$lib/ui/sending.svelte';
  import CodeField from './CodeField.svelte';
  import OwnPassword from './OwnPassword.svelte';
  import { session } from './session.svelte';

  interface Props {
    /** Somebody else wants to sign in instead. */
    onleave: () => void;
  }

  let { onleave }: Props = $props();
  const queries = useQueryClient();
  let password = $state('');
  let code = $state('');
  let asksCode = $state(false);
  const sending = new Sending();

  async function signIn(event: SubmitEvent) {
    await sending.send(event, async () => {
      await session.resume(password, code || null);
      password = code = '';
      await queries.invalidateQueries();
    });
    asksCode ||= sending.wrong?.field === 'code';
  }

  /** Whoever comes back from another window may have signed in again there. */
  async function look() {
    if (await session.resumeIfBack().catch(() => false)) await queries.invalidateQueries();
  }
</script>

<svelte:window onfocus={look} />

<Ask bind:open={() => session.over, (is) => (session.over = is)} title="Sign in and go on">
  <form id="sign-in-again" onsubmit={signIn}>
    <p class="mb-3">
      Your session has ended, {session.colleague?.name}. What stands on the screen is still there.
    </p>
    <OwnPassword bind:password label="Password" first wrong={sending.of('password')} />
    {#if asksCode}
      <div class="mt-3"><CodeField bind:code wrong={sending.of('code')} /></div>
    {/if}
  </form>
  {#snippet actions()}
    <HouseButton onclick={onleave}>Somebody else signs in</HouseButton>
    <HouseButton weight="main" type="submit" form="sign-in-again" disabled={sending.busy}>
      {sending.busy ? 'One moment…' : 'Sign in'}
    </HouseButton>
  {/snippet}
</Ask>
