<script lang="ts">
  import { searches } from '$lib/list/search.svelte';
  import RecordScreen from '$lib/record/RecordScreen.svelte';
  import CalendarDialog from '$lib/task/CalendarDialog.svelte';
  import TaskSides from '$lib/task/TaskSides.svelte';

  let calendar = $state(false);
</script>

<RecordScreen search={searches.tasks} kind="TASK" many="tasks" title="Tasks">
  {#snippet sides()}
    <TaskSides search={searches.tasks} oncalendar={() => (calendar = true)} />
  {/snippet}
</RecordScreen>
<CalendarDialog bind:open={calendar} />
