<script lang="ts">
  import { searches } from '$lib/list/search.svelte';
  import RecordScreen from '$lib/record/RecordScreen.svelte';
</script>

<RecordScreen search={searches.events} kind="EVENT" many="events" title="Events" />
