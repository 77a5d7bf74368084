<script lang="ts">
  import { steadyColumns } from '$lib/ui/steadyColumns';
  import VirtualRows from '$lib/ui/VirtualRows.svelte';
  import { whenSeen } from '$lib/ui/whenSeen';
  import type { MessageStanding } from '$lib/api/types';
  import { dayAndTime, dayAndYear, zoneCity } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import LetterMark from '$lib/ui/LetterMark.svelte';
  import { standings } from './kinds';

  interface Props {
    rows: MessageStanding[];
    onend: () => void;
  }

  let { rows, onend }: Props = $props();

  const head =
    'sticky top-0 z-10 bg-card px-3 py-1.5 text-left text-[0.8rem] font-semibold text-soft';
  const cell =
    'overflow-hidden border-t border-line-soft px-3 text-ellipsis whitespace-nowrap max-md:px-1.5';

  /** On the reader's own clock, which is named when it is another one. */
  function sent(row: MessageStanding): string {
    const zone = row.timeZone ?? session.zone;
    const time = dayAndTime(row.sentAt, zone);
    const same = time === dayAndTime(row.sentAt, session.zone);
    return same ? time : `${time} in ${zoneCity(zone)}`;
  }
</script>

<table {@attach steadyColumns(() => rows.length > 0)} class="w-full">
  <thead>
    <tr>
      <th scope="col" class={head} data-gives-way>Name</th>
      <th scope="col" class={head} data-gives-way>State</th>
      <th scope="col" class={`${head} max-md:hidden`}>Sent, their time</th>
      <th scope="col" class={`${head} max-lg:hidden`}>First read</th>
      <th scope="col" class={`${head} max-md:hidden`}>Last reply</th>
      <th scope="col" class={head}><span class="sr-only">Message</span></th>
    </tr>
  </thead>
  <tbody>
    <VirtualRows {rows} key={(row) => row.id} height={36} as="tr">
      {#snippet row(row, measured)}
        <tr {@attach measured} class="h-9 hover:bg-kelp-pale">
          <td class={`${cell} font-semibold`} title={row.name}>
            <a class="hover:underline" href={`/people?person=${row.personId}`}>{row.name}</a>
          </td>
          <td class={cell} title={standings[row.standing].words}>
            <span class="flex items-center gap-1.5">
              <LetterMark letter={standings[row.standing].letter} />
              {standings[row.standing].words}
            </span>
          </td>
          <td class={`${cell} max-md:hidden`} title={sent(row)}>{sent(row)}</td>
          <td class={`${cell} max-lg:hidden`}>
            {row.firstRead ? dayAndTime(row.firstRead, session.zone) : '—'}
          </td>
          <td class={`${cell} max-md:hidden`}>
            {row.lastReply ? dayAndYear(row.lastReply, session.zone) : 'never'}
          </td>
          <td class={`${cell} text-right text-clip`}>
            <a class="text-[0.93rem] text-kelp hover:underline" href={`/responses/with/${row.id}`}
              ><span class="max-md:hidden">conversation</span><span class="md:hidden">letters</span
              ></a
            >
          </td>
        </tr>
      {/snippet}
    </VirtualRows>
  </tbody>
</table>
<div {@attach whenSeen(onend)} class="h-px"></div>
