<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { Sending } from '$lib/ui/sending.svelte';
  import NewPassword from './NewPassword.svelte';
  import OwnPassword from './OwnPassword.svelte';

  interface Props {
    onchanged: () => void;
  }

  let { onchanged }: Props = $props();
  let current = $state('');
  let password = $state('');
  const sending = new Sending();

  const change = (event: SubmitEvent) =>
    sending.send(event, async () => {
      await answer(api.PUT('/api/colleagues/me/password', { body: { current, password } }));
      current = password = '';
      notices.say('Your password is changed. Wherever else you were signed in, it has ended.');
      onchanged();
    });
</script>

<form class="panel max-w-3xl px-4 py-3" onsubmit={change} aria-label="Change your password">
  <h2 class="mb-3 text-[1rem]">Change your password</h2>
  <div class="mb-3 max-w-md">
    <OwnPassword
      bind:password={current}
      label="The one you have now"
      wrong={sending.of('current')}
    />
  </div>
  <div class="max-w-md">
    <NewPassword bind:password wrong={sending.of('password')} />
  </div>
  <HouseButton weight="main" type="submit" class="mt-4" disabled={sending.busy}
    >Change the password</HouseButton
  >
</form>
