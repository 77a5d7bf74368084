<script lang="ts">
  import type { Person } from '$lib/api/types';

  interface Props {
    reach: Person['reach'];
    introducedBy: Person['introducedBy'];
  }

  let { reach, introducedBy }: Props = $props();
</script>

<ul class="flex flex-wrap gap-x-6 gap-y-1 text-[0.93rem]" aria-label="Reach">
  {#each reach as channel (channel.channel)}
    <li>
      <span class="text-soft">{channel.words}</span>
      {#if channel.reach === 'READY'}
        <strong>{channel.channel === 'APP' ? 'installed' : channel.address}</strong>
      {:else if channel.channel === 'APP' && channel.reach === 'NO_ADDRESS'}
        not installed
      {:else}
        <span class="text-brick">{channel.reachWords}</span>
      {/if}
    </li>
  {/each}
  {#if introducedBy}
    <li>
      <span class="text-soft">Introduced by</span>
      <a class="font-semibold text-kelp underline" href={`/people/${introducedBy.id}`}
        >{introducedBy.name}</a
      >
    </li>
  {/if}
</ul>
