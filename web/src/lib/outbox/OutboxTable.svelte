<script lang="ts">
  import { whereTo } from '$lib/ways/ways';
  import { steadyColumns } from '$lib/ui/steadyColumns';
  import VirtualRows from '$lib/ui/VirtualRows.svelte';
  import { whenSeen } from '$lib/ui/whenSeen';
  import type { OutboxMessage } from '$lib/api/types';
  import { clock, dayAndTime, zoneCity } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import LetterMark from '$lib/ui/LetterMark.svelte';
  import { acts, states, type Act } from './states';

  interface Props {
    rows: OutboxMessage[];
    onact: (message: OutboxMessage, act: Act) => void;
    onend: () => void;
  }

  let { rows, onact, onend }: Props = $props();

  const head =
    'sticky top-0 z-10 bg-card px-3 py-1.5 text-left text-[0.8rem] font-semibold text-soft whitespace-nowrap';
  const cell =
    'overflow-hidden border-t border-line-soft px-3 text-ellipsis whitespace-nowrap max-md:px-1.5';
  const mayWrite = $derived(session.may('OUTBOX'));

  function tried(tries: number): string {
    return tries > 1 ? `tried ${tries} times: ` : '';
  }

  /** The reader's own clock, when it is another one. */
  function theirTime(row: OutboxMessage): string {
    if (!row.timeZone || row.timeZone === session.zone) return '';
    const theirs = clock(row.dueAt, row.timeZone);
    return theirs === clock(row.dueAt, session.zone)
      ? ''
      : `${theirs} in ${zoneCity(row.timeZone)}`;
  }
</script>

<table {@attach steadyColumns(() => rows.length > 0)} class="w-full text-[0.96rem]">
  <thead>
    <tr>
      <th scope="col" class={head} data-gives-way>To</th>
      <th scope="col" class={`${head} max-md:hidden`} data-gives-way>Mailing</th>
      <th scope="col" class={head} data-gives-way>State</th>
      <th scope="col" class={`${head} max-md:hidden`}>Due</th>
      <th scope="col" class={head}><span class="sr-only">What to do</span></th>
    </tr>
  </thead>
  <tbody>
    <VirtualRows {rows} key={(row) => row.id} height={36} as="tr">
      {#snippet row(row, measured)}
        <tr {@attach measured} class="h-9 hover:bg-kelp-pale">
          <td class={`${cell} max-w-64 truncate`} title={`${row.name}, ${whereTo(row)}`}>
            <strong>{row.name}</strong>
            <span class="ms-1 text-[0.87rem] text-soft max-lg:hidden">{whereTo(row)}</span>
            <span class="block truncate text-[0.87rem] text-soft md:hidden"
              >{dayAndTime(row.dueAt, session.zone)}</span
            >
          </td>
          <td class={`${cell} max-w-52 truncate max-md:hidden`} title={row.mailing}>
            <a class="hover:underline" href={`/mailings/${row.mailingId}`}>{row.mailing}</a>
          </td>
          <td class={`${cell} max-w-72`} title={states[row.state]?.words ?? row.state}>
            <span class="flex items-center gap-1.5">
              <LetterMark letter={states[row.state]?.letter ?? 'sent'} />
              <span class="max-md:sr-only"
                >{row.held
                  ? 'held, can be taken back'
                  : (states[row.state]?.words ?? row.state)}</span
              >
            </span>
            {#if row.reason}
              <span class="block truncate text-[0.8rem] text-soft max-md:hidden" title={row.reason}
                >{tried(row.tries)}{row.reason}</span
              >
            {/if}
          </td>
          <td
            class={`${cell} max-md:hidden`}
            title={`${dayAndTime(row.dueAt, session.zone)} ${theirTime(row)}`}
          >
            {dayAndTime(row.dueAt, session.zone)}
            {#if theirTime(row)}<span class="text-[0.87rem] text-soft max-md:hidden"
                >({theirTime(row)})</span
              >{/if}
          </td>
          <td class="border-t border-line-soft px-3 py-1 text-right max-md:px-1.5">
            {#if mayWrite}
              <span
                class="flex justify-end gap-x-3 whitespace-nowrap max-md:flex-col max-md:items-end"
              >
                {#each row.held ? [] : acts(row.state) as offer (offer.act)}
                  <button
                    type="button"
                    class="text-[0.93rem] font-semibold text-kelp hover:underline"
                    aria-label={`${offer.words}: ${row.name}`}
                    onclick={() => onact(row, offer.act)}>{offer.words}</button
                  >
                {/each}
              </span>
            {/if}
          </td>
        </tr>
      {/snippet}
    </VirtualRows>
  </tbody>
</table>
<div {@attach whenSeen(onend)} class="h-px"></div>
