<script lang="ts">
  import type { HouseRole } from '$lib/api/types';

  interface Props {
    role: HouseRole;
    mayChange: boolean;
    onchoose: (ownPeople: boolean) => void;
  }

  let { role, mayChange, onchoose }: Props = $props();
  /** Whoever does something to everybody's people sees them. */
  const mustSeeAll = $derived(
    !role.limits.ownPeople && role.rights.some((r) => r === 'SETTINGS' || r === 'COLLEAGUES')
  );
</script>

{#if mayChange && !mustSeeAll}
  <select
    class="rounded-md border-line bg-card py-0.5 ps-2 pe-8"
    aria-label={`${role.name}: see people`}
    value={role.limits.ownPeople}
    onchange={(e) => onchoose(e.currentTarget.value === 'true')}
  >
    <option value={false}>everybody</option>
    <option value={true}>their own</option>
  </select>
{:else if role.limits.ownPeople}
  their own
{:else}
  <span title={mustSeeAll ? 'Whoever sets up the house or its colleagues sees everybody.' : ''}
    >everybody</span
  >
{/if}
