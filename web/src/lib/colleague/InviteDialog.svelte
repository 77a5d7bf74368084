<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { ColleagueName, MadeLink } from '$lib/api/types';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { Sending } from '$lib/ui/sending.svelte';
  import { Input } from 'flowbite-svelte';
  import ColleagueFields, { type Described } from './ColleagueFields.svelte';
  import { loginFor } from './colleagues';

  interface Props {
    open: boolean;
    colleagues: ColleagueName[];
    onmade: (name: string, link: MadeLink) => void;
  }

  let { open = $bindable(), colleagues, onmade }: Props = $props();
  const nobody: Described = { name: '', email: '', title: '', roleId: null, language: null };
  let colleague = $state({ ...nobody });
  let login = $state('');
  let typed = $state(false);
  const sending = new Sending();

  function propose(name: string) {
    if (!typed) {
      login = loginFor(
        name,
        colleagues.map((c) => c.login)
      );
    }
  }

  const invite = (event: SubmitEvent) =>
    sending.send(event, async () => {
      const made = await answer(
        api.POST('/api/colleagues', {
          body: { ...colleague, roleId: colleague.roleId ?? 0, login }
        })
      );
      open = false;
      onmade(colleague.name.trim(), made);
      colleague = { ...nobody };
      login = '';
      typed = false;
    });
</script>

<Ask bind:open title="Invite a colleague">
  <form id="invite" class="flex flex-col gap-3" onsubmit={invite}>
    <ColleagueFields bind:colleague wrong={sending.wrong} onname={propose} />
    <label class="flex flex-col gap-1">
      Signs in as
      <Input
        bind:value={login}
        required
        maxlength={40}
        autocomplete="off"
        oninput={() => (typed = login !== '')}
      />
      {#if sending.of('login')}
        <span class="text-brick" role="alert">{sending.of('login')}</span>
      {/if}
    </label>
    <p class="text-soft">They get a link by mail, good for seven days, and set their password.</p>
  </form>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    <HouseButton weight="main" type="submit" form="invite" disabled={sending.busy}
      >Send the invitation</HouseButton
    >
  {/snippet}
</Ask>
