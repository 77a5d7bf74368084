<script lang="ts">
  import { fieldsQuery } from '$lib/api/queries';
  import DayField from '$lib/ui/DayField.svelte';
  import type { SelectionBody } from '$lib/api/types';
  import { people } from '$lib/format/numbers';
  import ColleagueSelect from '$lib/session/ColleagueSelect.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { Input, Select } from 'flowbite-svelte';
  import { taskKinds } from '$lib/task/kinds';
  import { act } from './doing';

  interface Props {
    open: boolean;
    who: SelectionBody;
    count: number;
  }

  let { open = $bindable(), who, count }: Props = $props();

  const queries = useQueryClient();
  const fields = createQuery(fieldsQuery);
  const kinds = $derived(taskKinds(fields.data?.related));
  let kind = $state('');
  let title = $state('');
  let dueOn = $state('');
  let owner = $state('');

  async function make() {
    const task = {
      kind: kind || (kinds[0] ?? ''),
      title,
      dueOn: dueOn || null,
      owner: owner || null
    };
    if (await act(queries, who, { kind: 'MAKE_TASK', task })) {
      open = false;
      title = '';
    }
  }
</script>

<Ask bind:open title={count === 1 ? 'Make a task' : `Make a task for each of ${people(count)}`}>
  <form
    id="make-task"
    class="grid grid-cols-2 gap-3"
    onsubmit={(event) => {
      event.preventDefault();
      void make();
    }}
  >
    <label class="col-span-2 flex flex-col gap-1">
      What is to be done
      <Input bind:value={title} maxlength={200} required data-autofocus autocomplete="off" />
    </label>
    <label class="flex flex-col gap-1">
      Kind
      <Select
        placeholder=""
        items={kinds.map((k) => ({ value: k, name: k }))}
        bind:value={() => kind || (kinds[0] ?? ''), (k) => (kind = k)}
      />
    </label>
    <div class="flex flex-col gap-1">
      Due
      <DayField label="Due" value={dueOn} onchange={(day) => (dueOn = day)} />
    </div>
    <label class="col-span-2 flex flex-col gap-1">
      Whose it is
      <ColleagueSelect bind:value={owner} none="the owner of each person" />
    </label>
  </form>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    <HouseButton weight="main" type="submit" form="make-task" disabled={!title.trim()}
      >Make the task</HouseButton
    >
  {/snippet}
</Ask>
