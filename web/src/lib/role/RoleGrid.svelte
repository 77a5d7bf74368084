<script lang="ts">
  import type { GivenRight, HouseRole } from '$lib/api/types';
  import { limits, toggled, type NumberLimit, type Row } from './roles';
  import WhosePeople from './WhosePeople.svelte';

  interface Props {
    rows: Row[];
    roles: HouseRole[];
    mayChange: boolean;
    /** Where there is no room for all beside each other. */
    only: number | null;
    onlook: (role: HouseRole) => void;
    onremove: (role: HouseRole) => void;
  }

  let { rows, roles = $bindable(), mayChange, only, onlook, onremove }: Props = $props();
  const cell = 'border-t border-line-soft px-3 py-1 text-center align-middle';
  const link = 'min-h-6 font-semibold text-kelp hover:underline';
  const hidden = (role: HouseRole) => (role.id === only ? '' : 'max-lg:hidden');

  function toggle(role: HouseRole, right: GivenRight) {
    role.rights = toggled(rows, role.rights, right);
  }

  function set(role: HouseRole, key: NumberLimit, typed: string) {
    const number = typed.trim() === '' ? null : Math.floor(Number(typed));
    role.limits = { ...role.limits, [key]: number };
  }
</script>

<table class="w-full">
  <thead>
    <tr class="align-bottom">
      <td></td>
      {#each roles as role (role.id)}
        <th class={`px-3 py-2 font-semibold ${hidden(role)}`} scope="col">
          {#if mayChange}
            <input
              type="text"
              class="w-full min-w-32 rounded-md border-line bg-card px-2 py-1 text-center font-semibold"
              aria-label={`Name of the role ${role.name}`}
              maxlength={40}
              bind:value={role.name}
            />
          {:else}
            {role.name}
          {/if}
          <span class="block text-[0.82rem] font-normal text-soft">
            {role.colleagues === 1 ? '1 colleague' : `${role.colleagues || 'no'} colleagues`} ·
            <button type="button" class={link} onclick={() => onlook(role)}>Look as one</button>
            {#if mayChange && role.colleagues === 0}
              <button type="button" class={link} onclick={() => onremove(role)}>Remove</button>
            {/if}
          </span>
        </th>
      {/each}
    </tr>
  </thead>
  <tbody>
    <tr>
      <th class="border-t border-line-soft py-1 ps-3.5 pe-3 text-left font-normal" scope="row">
        See people
      </th>
      {#each roles as role (role.id)}
        <td class={`${cell} ${hidden(role)}`}>
          <WhosePeople
            {role}
            {mayChange}
            onchoose={(ownPeople) => (role.limits = { ...role.limits, ownPeople })}
          />
        </td>
      {/each}
    </tr>
    {#each rows as row (row.right)}
      <tr>
        <th
          class={`border-t border-line-soft py-1 pe-3 text-left font-normal ${row.restsOn && row.restsOn !== 'WORK' ? 'ps-8' : 'ps-3.5'}`}
          scope="row"
          title={row.who.length ? `May: ${row.who.join(', ')}` : 'Nobody may'}
        >
          {row.words}
        </th>
        {#each roles as role (role.id)}
          <td class={`${cell} ${hidden(role)}`}>
            {#if mayChange}
              <label class="inline-flex min-h-7 min-w-7 items-center justify-center">
                <input
                  type="checkbox"
                  class="rounded text-kelp"
                  aria-label={`${role.name}: ${row.words}`}
                  checked={role.rights.includes(row.right as GivenRight)}
                  onchange={() => toggle(role, row.right as GivenRight)}
                />
              </label>
            {:else}
              {role.rights.includes(row.right as GivenRight) ? 'yes' : '–'}
            {/if}
          </td>
        {/each}
      </tr>
      {#each limits.filter((l) => l.right === row.right) as limit (limit.key)}
        <tr>
          <th
            class={`py-1 pe-3 text-left text-[0.9rem] font-normal text-soft ${row.right === 'EXPORT' ? 'ps-8' : 'ps-12'}`}
            scope="row">{limit.words}</th
          >
          {#each roles as role (role.id)}
            <td class={`px-3 py-1 text-center ${hidden(role)}`}>
              {#if !role.rights.includes(limit.right)}
                <span class="sr-only">not theirs</span>
              {:else if mayChange}
                <input
                  type="number"
                  class="w-24 rounded-md border-line bg-card px-2 py-0.5 text-end placeholder:text-soft"
                  aria-label={`${role.name}: ${limit.words}`}
                  min={limit.least}
                  placeholder="no limit"
                  value={role.limits[limit.key]}
                  onchange={(e) => set(role, limit.key, e.currentTarget.value)}
                />
              {:else}
                {role.limits[limit.key] ?? 'no limit'}
              {/if}
            </td>
          {/each}
        </tr>
      {/each}
    {/each}
  </tbody>
</table>
