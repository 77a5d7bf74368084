<script lang="ts">
  import { answer, api, ApiProblem } from '$lib/api/client';
  import type { ColleagueName } from '$lib/api/types';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
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
    role: of.role
  });
  let wrong = $state.raw<{ field: string; words: string } | null>(null);

  async function change(event: SubmitEvent) {
    event.preventDefault();
    wrong = null;
    try {
      const params = { path: { id: of.id } };
      await answer(api.PUT('/api/colleagues/{id}', { params, body: colleague }));
      notices.say(`What is said of ${colleague.name.trim()} is changed.`);
      onchanged();
      onclose();
    } catch (error) {
      if (error instanceof ApiProblem && error.field) {
        wrong = { field: error.field, words: error.message };
      } else notices.fail(error);
    }
  }
</script>

<Ask bind:open={() => true, (is) => !is && onclose()} title={`Change ${of.name}`}>
  <form id="change-colleague" class="flex flex-col gap-3" onsubmit={change}>
    <ColleagueFields bind:colleague {wrong} />
    <p class="text-soft">A role holds from the next thing they do.</p>
  </form>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={onclose}>Leave as it is</HouseButton>
    <HouseButton weight="main" type="submit" form="change-colleague">Change</HouseButton>
  {/snippet}
</Ask>
