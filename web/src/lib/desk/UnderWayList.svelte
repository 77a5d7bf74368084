<script lang="ts">
  import type { UnderWay } from '$lib/api/types';
  import { dayAndTime, daysAgo } from '$lib/format/dates';
  import { count } from '$lib/format/numbers';
  import { session } from '$lib/session/session.svelte';
  import Progress from '$lib/ui/Progress.svelte';

  interface Props {
    list: UnderWay[];
  }

  let { list }: Props = $props();

  function right(m: UnderWay): string {
    if (m.sent === 0 && m.dueAt) return `waits until ${dayAndTime(m.dueAt, session.zone)}`;
    if (m.toDepart > 0) return `${count(m.sent)} of ${count(m.messages)} gone`;
    return `${count(m.replied)} of ${count(m.sent)} replied`;
  }

  function below(m: UnderWay): string {
    if (m.sent === 0) return `${count(m.messages)} people`;
    if (m.toDepart > 0) return `${count(m.toDepart)} to leave`;
    const left = m.lastSent ? `left ${daysAgo(m.lastSent, session.zone)}` : '';
    return `${left} · ${count(m.read)} read it without a reply · ${count(m.quiet)} quiet`;
  }
</script>

<ul>
  {#each list as m (m.id)}
    <li class="border-b border-line-soft">
      <a
        class="block px-3.5 py-2.5 hover:bg-kelp-pale"
        href={m.toDepart ? `/mailings/${m.id}` : `/responses/${m.id}`}
      >
        <span class="flex justify-between gap-3">
          <strong class="truncate" title={m.name}>{m.name}</strong>
          <span class="font-semibold whitespace-nowrap">{right(m)}</span>
        </span>
        <Progress
          label={`${m.name}: ${right(m)}`}
          value={m.toDepart ? m.sent : m.replied}
          of={m.toDepart ? m.messages : m.sent}
          then={m.toDepart ? 0 : m.read}
        />
        <span class="mt-1 block text-[0.87rem] text-soft">{below(m)}</span>
      </a>
    </li>
  {:else}
    <li class="px-3.5 py-3 text-soft">
      Nothing is under way. <a class="font-semibold text-kelp hover:underline" href="/people"
        >Find people to write to.</a
      >
    </li>
  {/each}
</ul>
