<script lang="ts">
  import { goto } from '$app/navigation';
  import { answer, api, ApiProblem } from '$lib/api/client';
  import { loginFor } from '$lib/colleague/colleagues';
  import NewPassword from '$lib/session/NewPassword.svelte';
  import PlainPage from '$lib/session/PlainPage.svelte';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { Sending } from '$lib/ui/sending.svelte';
  import { Input } from 'flowbite-svelte';
  import { onMount } from 'svelte';

  // What follows the # is sent to no server but in what is asked below.
  const token = location.hash.slice(1);
  const sending = new Sending();
  let ready = $state(false);
  let gone = $state('');
  let name = $state('');
  let email = $state('');
  let login = $state('');
  let typed = $state(false);
  let password = $state('');

  onMount(async () => {
    try {
      await session.load();
      await answer(api.POST('/api/first-start/look', { body: { token } }));
      ready = true;
    } catch (error) {
      gone = error instanceof ApiProblem ? error.message : 'It failed.';
    }
  });

  const make = (event: SubmitEvent) =>
    sending.send(event, async () => {
      const body = { token, login, name, email, password };
      await answer(api.POST('/api/first-start', { body }));
      await session.signIn(login, password);
      await goto('/settings/set-up');
    });
</script>

{#snippet why(field: string)}
  {#if sending.of(field)}<span class="text-brick" role="alert">{sending.of(field)}</span>{/if}
{/snippet}

<PlainPage title="The first administrator">
  {#if gone}
    <p role="alert">{gone}</p>
    <p class="mt-4"><a class="text-kelp underline" href="/sign-in">To the sign-in</a></p>
  {:else if ready}
    <p class="mb-5">
      You set up the house, invite the others and say what each may do. Another can do so later.
    </p>
    <form class="flex flex-col gap-4" onsubmit={make}>
      <label class="flex flex-col gap-1">
        Your name
        <Input
          bind:value={name}
          required
          maxlength={120}
          autocomplete="name"
          oninput={() => typed || (login = loginFor(name, []))}
        />
        {@render why('name')}
      </label>
      <label class="flex flex-col gap-1">
        Your e-mail
        <Input type="email" bind:value={email} required maxlength={254} autocomplete="email" />
        {@render why('email')}
      </label>
      <label class="flex flex-col gap-1">
        You sign in as
        <Input
          bind:value={login}
          required
          maxlength={40}
          autocomplete="username"
          oninput={() => (typed = login !== '')}
        />
        {@render why('login')}
      </label>
      <div><NewPassword bind:password wrong={sending.of('password')} /></div>
      <HouseButton weight="main" type="submit" class="w-full py-2" disabled={sending.busy}
        >{sending.busy ? 'One moment…' : 'Go in'}</HouseButton
      >
    </form>
  {:else}
    <p class="text-soft">One moment …</p>
  {/if}
</PlainPage>
