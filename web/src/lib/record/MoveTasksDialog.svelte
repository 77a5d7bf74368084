<script lang="ts">
  import DayField from '$lib/ui/DayField.svelte';
  import { answer, api } from '$lib/api/client';
  import type { SelectionBody } from '$lib/api/types';
  import { count } from '$lib/format/numbers';
  import ColleagueSelect from '$lib/session/ColleagueSelect.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import type { QueryClient } from '@tanstack/svelte-query';

  interface Props {
    open: boolean;
    which: SelectionBody;
    picked: number;
    queries: QueryClient;
  }

  let { open = $bindable(), which, picked, queries }: Props = $props();

  let dueOn = $state('');
  let owner = $state('');

  async function apply() {
    try {
      // First whose they are: to move them may take them out of what is asked for.
      if (owner) await answer(api.POST('/api/tasks/hand-over', { body: { which, owner } }));
      if (dueOn) await answer(api.POST('/api/tasks/move', { body: { which, dueOn } }));
      open = false;
      void queries.invalidateQueries();
      notices.say(picked === 1 ? 'The task is changed.' : `${count(picked)} tasks are changed.`);
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<Ask
  bind:open
  title={picked === 1 ? 'Move or hand over the task' : `Move or hand over ${count(picked)} tasks`}
>
  <form
    id="move-tasks"
    class="grid grid-cols-2 gap-3"
    onsubmit={(event) => {
      event.preventDefault();
      void apply();
    }}
  >
    <div class="flex flex-col gap-1">
      To the day
      <DayField label="To the day" value={dueOn} onchange={(day) => (dueOn = day)} />
    </div>
    <label class="flex flex-col gap-1">
      To the colleague
      <ColleagueSelect bind:value={owner} none="whose they are" />
    </label>
  </form>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    <HouseButton weight="main" type="submit" form="move-tasks" disabled={!dueOn && !owner}
      >Save</HouseButton
    >
  {/snippet}
</Ask>
