<script lang="ts">
  import type { LinkResult } from '$lib/api/types';
  import { count } from '$lib/format/numbers';
  import { shortLink } from '$lib/response/results';

  interface Props {
    links: LinkResult[];
    onopen: (target: string) => void;
  }

  let { links, onopen }: Props = $props();

  const most = $derived(Math.max(1, ...links.map((l) => l.people)));
  const head = 'px-3 py-1.5 text-left text-[0.8rem] font-semibold text-soft';
  const cell = 'border-t border-line-soft px-3 py-2';
</script>

{#if links.length}
  <table class="w-full">
    <thead>
      <tr>
        <th scope="col" class={head}>Link</th>
        <th scope="col" class={`${head} w-2/5`}>People who followed it</th>
        <th scope="col" class={`${head} text-right`}>Times</th>
        <th scope="col" class={`${head} text-right max-md:hidden`}>Software only</th>
      </tr>
    </thead>
    <tbody>
      {#each links as link (link.target)}
        <tr>
          <td class={`${cell} break-all`}>
            <a class="hover:underline" href={link.target} target="_blank" rel="noreferrer noopener"
              >{shortLink(link.target)}</a
            >
          </td>
          <td class={cell}>
            <span class="flex items-center gap-2">
              <span
                class="h-3 rounded-sm bg-kelp-mid"
                style:width={`${(link.people / most) * 70}%`}
                aria-hidden="true"
              ></span>
              {#if link.people}
                <button
                  type="button"
                  class="min-h-[24px] font-semibold text-kelp hover:underline"
                  onclick={() => onopen(link.target)}>{count(link.people)}</button
                >
              {:else}
                <span class="text-soft">nobody yet</span>
              {/if}
            </span>
          </td>
          <td class={`${cell} text-right tabular-nums`}>{count(link.clicks)}</td>
          <td class={`${cell} text-right text-soft tabular-nums max-md:hidden`}>
            {count(link.machines)}
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
{:else}
  <p class="p-3.5 text-soft">No link of this mailing is counted.</p>
{/if}
