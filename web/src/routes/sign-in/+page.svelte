<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { backPath } from '$lib/session/back';
  import { session } from '$lib/session/session.svelte';
  import CodeField from '$lib/session/CodeField.svelte';
  import OwnPassword from '$lib/session/OwnPassword.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { Sending } from '$lib/ui/sending.svelte';
  import { Input, Label } from 'flowbite-svelte';

  let login = $state('');
  let password = $state('');
  let code = $state('');
  /** Whether this login has a second factor; the server said so. */
  let asksCode = $state(false);
  const sending = new Sending();

  async function signIn(event: SubmitEvent) {
    await sending.send(event, async () => {
      await session.signIn(login, password, code || null);
      await goto(backPath(page.url.searchParams.get('back')));
    });
    asksCode ||= sending.wrong?.field === 'code';
  }
</script>

<svelte:head><title>Sign in · Jemble</title></svelte:head>

<main class="grid min-h-dvh grid-cols-[minmax(0,5fr)_minmax(0,6fr)] max-md:grid-cols-1">
  <div class="flex flex-col justify-between bg-bar px-10 py-9 text-bar-ink max-md:px-5 max-md:py-5">
    <p class="font-heading text-[1.5rem] font-bold text-white">Jemble</p>
    <div class="max-w-[26rem] max-md:hidden">
      <p class="font-heading text-[2.1rem] leading-tight font-bold text-white">
        To each their own message, at their own hour.
      </p>
      <p class="mt-3">Nobody twice, nobody forgotten, and the quiet ones followed up.</p>
    </div>
    <p class="text-[0.87rem] max-md:hidden">Made for people who write to thousands by name.</p>
  </div>
  <div class="flex items-center justify-center px-5 py-10">
    <form class="w-full max-w-[22rem]" onsubmit={signIn}>
      <h1 class="mb-5 text-[1.6rem]">Sign in</h1>
      <Label for="login" class="mb-1">Login</Label>
      <Input id="login" bind:value={login} autocomplete="username" required class="mb-4" />
      <OwnPassword bind:password label="Password" wrong={sending.of('password')} />
      {#if asksCode}
        <div class="mt-4"><CodeField bind:code wrong={sending.of('code')} /></div>
      {/if}
      <HouseButton weight="main" type="submit" class="mt-5 w-full py-2" disabled={sending.busy}>
        {sending.busy ? 'One moment…' : 'Sign in'}
      </HouseButton>
      <p class="mt-4 text-[0.87rem] text-soft">
        No login, or forgotten the password? An administrator of your house gives you a new one.
      </p>
    </form>
  </div>
</main>
