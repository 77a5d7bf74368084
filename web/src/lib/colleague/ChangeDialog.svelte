<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { ColleagueName } from '$lib/api/types';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { Sending } from '$lib/ui/sending.svelte';
  import ColleagueFields, { type Described } from './ColleagueFields.svelte';

  interface Props {
    of: ColleagueName;
    onclose: () => void;
    onchanged: () => void;
  }

  let { of, onclose, onchanged }: Props = $props();
  // Typed over what was there when it was opened.
  // svelte-ignore state_referenced_locally
  let colleague = $state<Described>({
    name: of.name,
    email: of.email,
    title: of.title,
    roleId: of.roleId,
    language: of.language ?? null
  });
  const sending = new Sending();

  const change = (event: SubmitEvent) =>
    sending.send(event, async () => {
      const params = { path: { id: of.id } };
      await answer(
        api.PUT('/api/colleagues/{id}', {
          params,
          body: { ...colleague, roleId: colleague.roleId ?? 0 }
        })
      );
      notices.say(`What is said of ${colleague.name.trim()} is changed.`);
      onchanged();
      onclose();
    });

  async function takeOff() {
    try {
      const params = { path: { id: of.id } };
      await answer(api.DELETE('/api/colleagues/{id}/second-factor', { params }));
      notices.say(`${of.name} signs in anew, by the password alone.`);
    } catch (error) {
      notices.fail(error);
    }
    onchanged();
    onclose();
  }
</script>

<Ask bind:open={() => true, (is) => !is && onclose()} title={`Change ${of.name}`}>
  <form id="change-colleague" class="flex flex-col gap-3" onsubmit={change}>
    <ColleagueFields bind:colleague wrong={sending.wrong} />
    <p class="text-soft">A role holds from the next thing they do.</p>
    {#if of.secondFactor}
      <p>
        Lost their app, and the codes on paper?
        <HouseButton weight="quiet" class="min-h-[26px]" onclick={takeOff}
          >Take off their second factor</HouseButton
        >
      </p>
    {/if}
  </form>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={onclose}>Leave as it is</HouseButton>
    <HouseButton weight="main" type="submit" form="change-colleague" disabled={sending.busy}
      >Change</HouseButton
    >
  {/snippet}
</Ask>
