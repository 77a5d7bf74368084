<script lang="ts">
  import type { SendPlan } from '$lib/api/types';
  import { zoneCity } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import DayField from '$lib/ui/DayField.svelte';
  import TimeField from '$lib/ui/TimeField.svelte';
  import { tomorrowAtNine, withDay, withTime } from './start';

  interface Props {
    plan: SendPlan;
    editable: boolean;
    onchange: (part: Partial<SendPlan>) => void;
  }

  let { plan, editable, onchange }: Props = $props();

  const city = $derived(zoneCity(session.zone));
  const clock = $derived(plan.startOwn ? 'own' : plan.startZone ? 'zone' : 'house');
  const zones = Intl.supportedValuesOf('timeZone');
  const choice =
    'h-7 rounded-md border-line bg-card py-0 ps-1.5 pe-7 text-[0.92rem] disabled:text-soft';

  function setClock(whose: string) {
    onchange({
      startOwn: whose === 'own',
      startZone: whose === 'zone' ? (plan.startZone ?? session.zone) : null
    });
  }
</script>

<select
  class={choice}
  aria-label="Start"
  value={plan.startWall ? 'at' : 'now'}
  onchange={(e) =>
    onchange({
      startWall: e.currentTarget.value === 'at' ? tomorrowAtNine(session.zone) : null,
      startOwn: false,
      startZone: null
    })}
>
  <option value="now">now</option>
  <option value="at">at a day and time</option>
</select>
{#if plan.startWall}
  {@const wall = plan.startWall}
  <DayField
    label="Day it starts"
    value={wall.slice(0, 10)}
    disabled={!editable}
    onchange={(day) => day && onchange({ startWall: withDay(wall, day) })}
  />
  <TimeField
    label="Time it starts"
    value={wall.slice(11, 16)}
    disabled={!editable}
    onchange={(time) => onchange({ startWall: withTime(wall, time) })}
  />
  <select
    class={choice}
    aria-label="On whose clock it starts"
    value={clock}
    onchange={(e) => setClock(e.currentTarget.value)}
  >
    <option value="house">{city} time</option>
    <option value="own">each person’s own time</option>
    <option value="zone">the time of another place</option>
  </select>
  {#if clock === 'zone'}
    <select
      class={choice}
      aria-label="The place whose time it is"
      value={plan.startZone}
      onchange={(e) => onchange({ startZone: e.currentTarget.value })}
    >
      {#each zones as zone (zone)}<option value={zone}>{zone.replaceAll('_', ' ')}</option>{/each}
    </select>
  {/if}
{/if}
