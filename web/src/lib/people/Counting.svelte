<script lang="ts">
  import type { PeopleTally } from '$lib/api/types';
  import { count } from '$lib/format/numbers';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Progress from '$lib/ui/Progress.svelte';

  interface Props {
    soFar: PeopleTally;
    onstop: () => void;
  }

  let { soFar, onstop }: Props = $props();
</script>

<div class="panel flex items-center gap-4 px-3.5 py-2" role="status">
  <div class="flex-1">
    <span>
      This takes a while to count: {count(soFar.total)} found among the first {count(soFar.looked)} of
      {count(soFar.of)}.
    </span>
    <Progress label="People looked at" value={soFar.looked} of={soFar.of} />
  </div>
  <HouseButton onclick={onstop}>Stop</HouseButton>
</div>
