<script lang="ts">
  import { count } from '$lib/format/numbers';
  import type { BarDay } from './bars';
  import { timeOf } from './planWords';

  interface Props {
    days: BarDay[];
    running: boolean;
    dayName: (day: string) => string;
  }

  let { days, running, dayName }: Props = $props();
</script>

<!-- What the bars show, for whoever does not see them. A table by itself would not be cut to nothing. -->
<div class="sr-only">
  <table>
    <caption>When messages leave</caption>
    <thead>
      <tr>
        <th scope="col">Day</th>
        <th scope="col">From</th>
        <th scope="col">Planned</th>
        {#if running}<th scope="col">Gone</th>{/if}
        <th scope="col">Held back by</th>
      </tr>
    </thead>
    <tbody>
      {#each days as day (day.day)}
        {#each day.bars.filter((b) => b.planned || b.sent) as bar (bar.hour)}
          <tr>
            <th scope="row">{dayName(bar.day)}</th>
            <td>{bar.hour === null ? 'all day' : timeOf(bar.hour * 60)}</td>
            <td>{count(bar.planned)}</td>
            {#if running}<td>{count(bar.sent)}</td>{/if}
            <td>{day.bound.join(', ')}</td>
          </tr>
        {/each}
      {/each}
    </tbody>
  </table>
</div>
