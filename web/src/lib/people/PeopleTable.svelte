<script lang="ts">
  import { whenSeen } from '$lib/ui/whenSeen';
  import type { PersonRow } from '$lib/api/types';
  import { calendarDay, dayAndYear } from '$lib/format/dates';
  import { shortName } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';
  import { heard } from './heard';
  import { isPicked, type Selection } from './selection';

  interface Props {
    rows: PersonRow[];
    selection: Selection;
    cursor: number | null;
    reachWords: (row: PersonRow) => string;
    allPicked: boolean;
    onpick: (row: PersonRow, range: boolean) => void;
    onpickall: () => void;
    oncursor: (id: number) => void;
    /** Called when the end of the rows comes into sight. */
    onend: () => void;
  }

  let {
    rows,
    selection,
    cursor,
    reachWords,
    allPicked,
    onpick,
    onpickall,
    oncursor,
    onend
  }: Props = $props();

  const head =
    'sticky top-0 z-10 bg-card px-2 py-1.5 text-left text-[0.8rem] font-semibold text-soft';
  const cell = 'px-2 whitespace-nowrap overflow-hidden text-ellipsis';
</script>

<table class="w-full border-separate text-[0.96rem] border-spacing-0">
  <thead>
    <tr class="h-[31px]">
      <th scope="col" class={`${head} w-9`}>
        <input
          type="checkbox"
          class="rounded-[3px] border-soft text-kelp"
          aria-label="Take all that match"
          checked={allPicked}
          onchange={onpickall}
        />
      </th>
      {#each ['Name', 'Plan', 'Joined', 'Last visit', 'Place', 'Last heard from', 'Owner'] as title, i (title)}
        <th
          scope="col"
          class={`${head} ${i > 3 ? 'max-lg:hidden' : ''} ${i > 0 ? 'max-md:hidden' : ''}`}
          >{title}</th
        >
      {/each}
    </tr>
  </thead>
  <tbody>
    {#each rows as row (row.id)}
      {@const ready = row.reach === 'READY'}
      {@const picked = ready && isPicked(selection, row.id)}
      <tr
        id={`person-${row.id}`}
        class={`h-9 ${picked ? 'bg-kelp-pale' : ''}`}
        class:here={row.id === cursor}
        onclick={() => oncursor(row.id)}
      >
        <td class="border-b border-line-soft px-2.5">
          {#if ready}
            <input
              type="checkbox"
              class="rounded-[3px] border-soft bg-card text-kelp"
              aria-label={`Pick ${row.name}`}
              checked={picked}
              onclick={(event) => {
                event.stopPropagation();
                onpick(row, event.shiftKey);
              }}
            />
          {/if}
        </td>
        <td class="border-b border-line-soft font-semibold {cell}">
          <button type="button" class="text-left" onclick={() => oncursor(row.id)}
            >{row.name}</button
          >
          {#if !ready}
            <span class="ms-1 text-[0.8rem] font-normal text-brick">{reachWords(row)}</span>
          {/if}
        </td>
        <td class="border-b border-line-soft max-md:hidden {cell}">{row.plan ?? row.kind}</td>
        <td class="border-b border-line-soft max-md:hidden {cell}">
          {row.joinedOn ? calendarDay(row.joinedOn) : ''}
        </td>
        <td class="border-b border-line-soft max-md:hidden {cell}">
          {row.lastVisitAt ? dayAndYear(row.lastVisitAt, session.zone) : 'never'}
        </td>
        <td class="border-b border-line-soft max-lg:hidden {cell}">{row.place ?? ''}</td>
        <td class="border-b border-line-soft max-lg:hidden {cell}">{heard(row, session.zone)}</td>
        <td class="border-b border-line-soft max-lg:hidden {cell}"
          >{row.owner ? shortName(row.owner) : ''}</td
        >
      </tr>
    {/each}
  </tbody>
</table>
<div {@attach whenSeen(onend)} class="h-px"></div>

<style>
  .here > td:first-child {
    box-shadow: inset 3px 0 0 var(--kelp-mid);
  }
  tbody tr:hover {
    background: color-mix(in srgb, var(--kelp-pale) 55%, transparent);
  }
</style>
