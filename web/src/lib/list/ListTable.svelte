<script lang="ts">
  import type { FilterField, Layout, ListRow } from '$lib/api/types';
  import { session } from '$lib/session/session.svelte';
  import { steadyColumns } from '$lib/ui/steadyColumns';
  import VirtualRows from '$lib/ui/VirtualRows.svelte';
  import { whenSeen } from '$lib/ui/whenSeen';
  import { cellWords } from './cell';
  import ColumnHead from './ColumnHead.svelte';
  import { isPicked, type Selection } from './selection';

  interface Props {
    rows: ListRow[];
    fields: FilterField[];
    layout: Layout;
    selection: Selection;
    cursor: number | null;
    /** What the first column is called. */
    first: string;
    /** A short word beside a name that needs one, such as why a person cannot be e-mailed. */
    beside?: (row: ListRow) => string;
    allPicked: boolean;
    onpick: (row: ListRow, range: boolean) => void;
    onpickall: () => void;
    oncursor: (id: number) => void;
    onopen: (row: ListRow) => void;
    onlayout: (layout: Layout) => void;
    /** Called when the end of the rows comes into sight. */
    onend: () => void;
  }

  let {
    rows,
    fields,
    layout,
    selection,
    cursor,
    first,
    beside = () => '',
    allPicked,
    onpick,
    onpickall,
    oncursor,
    onopen,
    onlayout,
    onend
  }: Props = $props();

  const columns = $derived(
    layout.columns.flatMap((name) => fields.find((f) => f.name === name) ?? [])
  );
  const cell = 'px-2 whitespace-nowrap overflow-hidden text-ellipsis border-b border-line-soft';

  /** Again on the same column turns the order round. */
  function sort(name: string | null) {
    const same = layout.sortBy === name;
    onlayout({ ...layout, sortBy: name, descending: same ? !layout.descending : false });
  }

  /** Names are what a list is read by: so much of them stays, in pixels. */
  const NAME_LEAST = 140;

  /** Where what comes first is short or missing, what comes later still has room. */
  const room: Partial<Record<FilterField['type'], string>> = {
    DAY: 'min-w-[6.9rem]',
    INSTANT: 'min-w-[6.9rem]',
    CHOICE: 'min-w-[5.5rem]'
  };

  const isNumber = (field: FilterField) => field.type === 'MONEY' || field.type === 'NUMBER';

  function sorted(name: string | null) {
    if (layout.sortBy !== name) return 'none' as const;
    return layout.descending ? ('descending' as const) : ('ascending' as const);
  }

  function widen(name: string, width: number) {
    onlayout({ ...layout, widths: { ...layout.widths, [name]: Math.round(width) } });
  }
</script>

<table
  {@attach steadyColumns(() => [layout, rows[0]?.id])}
  class="w-full border-separate border-spacing-0 text-[0.96rem]"
>
  <thead>
    <tr class="h-[31px]">
      <th scope="col" class="sticky top-0 z-10 w-9 bg-card px-2 py-1.5 text-left">
        <input
          type="checkbox"
          class="rounded-[3px] border-soft text-kelp"
          aria-label="Take all that match"
          checked={allPicked}
          onchange={onpickall}
        />
      </th>
      <ColumnHead
        label={first}
        gives
        least={NAME_LEAST}
        order={sorted(null)}
        onsort={() => sort(null)}
      />
      {#each columns as field, i (field.name)}
        <ColumnHead
          label={field.label}
          order={sorted(field.name)}
          width={layout.widths[field.name]}
          right={isNumber(field)}
          gives={field.type === 'TEXT'}
          class={`${i > 3 ? 'max-lg:hidden' : 'max-md:hidden'} ${room[field.type] ?? ''}`}
          onsort={() => sort(field.name)}
          onwiden={(width) => widen(field.name, width)}
        />
      {/each}
    </tr>
  </thead>
  <tbody>
    <VirtualRows
      {rows}
      key={(row) => row.id}
      height={36}
      head={31}
      as="tr"
      insight={rows.findIndex((r) => r.id === cursor)}
    >
      {#snippet row(row, measured)}
        {@const picked = isPicked(selection, row.id, row.reach)}
        {@const why = beside(row)}
        <tr
          {@attach measured}
          id={`row-${row.id}`}
          class={`h-9 ${picked ? 'bg-kelp-pale' : ''}`}
          class:here={row.id === cursor}
          onclick={() => oncursor(row.id)}
          ondblclick={() => onopen(row)}
        >
          <td class="border-b border-line-soft px-2.5">
            <input
              type="checkbox"
              class="rounded-[3px] border-soft bg-card text-kelp"
              aria-label={`Pick ${row.name ?? 'this one'}`}
              checked={picked}
              onclick={(event) => {
                event.stopPropagation();
                onpick(row, event.shiftKey);
              }}
            />
          </td>
          <td class={`font-semibold ${cell}`}>
            <button
              type="button"
              class="text-left"
              title={[row.name, why].filter(Boolean).join(', ')}
              onclick={() => oncursor(row.id)}>{row.name ?? '—'}</button
            >
            {#if why}
              <span class="ms-1 text-[0.8rem] font-normal text-brick">{why}</span>
            {/if}
          </td>
          {#each columns as field, i (field.name)}
            {@const words = cellWords(
              field,
              row.cells[layout.columns.indexOf(field.name)] ?? null,
              session.zone
            )}
            <td
              class={`${i > 3 ? 'max-lg:hidden' : 'max-md:hidden'} ${cell} ${isNumber(field) ? 'text-right' : ''}`}
              style:max-width={`${layout.widths[field.name] ?? 260}px`}
              title={words || undefined}>{words}</td
            >
          {/each}
        </tr>
      {/snippet}
    </VirtualRows>
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
