<script lang="ts">
  import type { EarlierResult, Summary } from '$lib/api/types';
  import { dayAndYear, since } from '$lib/format/dates';
  import { count } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';
  import { besides, sharesOf } from '$lib/response/results';
  import ShareBar from '$lib/response/ShareBar.svelte';

  interface Props {
    summary: Summary;
    earlier: EarlierResult[];
  }

  let { summary, earlier }: Props = $props();

  const age = $derived(summary.firstSent ? since(summary.firstSent) : '');
  const mine = $derived(sharesOf(summary));
  const head = 'px-3 py-1.5 text-left text-[0.8rem] font-semibold text-soft';
  const cell = 'border-t border-line-soft px-3 py-2';
  const WORDS = { more: 'this one: more', fewer: 'this one: fewer', alike: '' };
</script>

<table class="w-full">
  <thead>
    <tr>
      <th scope="col" class={head}>Mailing about the same topic</th>
      <th scope="col" class={`${head} text-right max-md:hidden`}>Delivered</th>
      <th scope="col" class={head}>A person opened</th>
      <th scope="col" class={head}>Replied</th>
    </tr>
  </thead>
  <tbody>
    <tr class="bg-kelp-pale">
      <td class={`${cell} font-semibold`}>{summary.name}, this one</td>
      <td class={`${cell} text-right tabular-nums max-md:hidden`}>{count(summary.delivered)}</td>
      <td class={cell}><ShareBar share={mine.read} /></td>
      <td class={cell}><ShareBar share={mine.replied} /></td>
    </tr>
    {#each earlier as one (one.id)}
      {@const read = besides(mine.read, one.readShare)}
      {@const replied = besides(mine.replied, one.repliedShare)}
      <tr>
        <td class={cell}>
          <a class="font-semibold text-kelp hover:underline" href={`/responses/${one.id}`}
            >{one.name}</a
          >
          <span class="block text-[0.82rem] text-soft">{dayAndYear(one.sentAt, session.zone)}</span>
        </td>
        <td class={`${cell} text-right tabular-nums max-md:hidden`}>{count(one.delivered)}</td>
        <td class={cell}>
          <ShareBar share={one.readShare} />
          <span class="text-[0.82rem] text-soft">{WORDS[read]}</span>
        </td>
        <td class={cell}>
          <ShareBar share={one.repliedShare} />
          <span class="text-[0.82rem] text-soft">{WORDS[replied]}</span>
        </td>
      </tr>
    {:else}
      <tr><td class={`${cell} text-soft`} colspan="4">No earlier mailing about this topic.</td></tr>
    {/each}
  </tbody>
</table>
<p class="px-3.5 py-2 text-[0.87rem] text-soft">
  {#if age}Earlier ones as they stood {age} after their first message, as this one does now.{/if}
  “More” and “fewer” stand only where the two ranges, each at 95% confidence, do not meet.
</p>
