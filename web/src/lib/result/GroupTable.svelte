<script lang="ts">
  import type { GroupResult } from '$lib/api/types';
  import { count } from '$lib/format/numbers';
  import ShareBar from '$lib/response/ShareBar.svelte';
  import { BY, type By } from '$lib/response/results';

  interface Props {
    groups: GroupResult[];
    by: By;
    onby: (by: By) => void;
    /** The people of a group: all, those who read it, or those of a part of the tally. */
    onopen: (value: string, only?: { also: 'READ' | 'DELIVERED' } | { part: string }) => void;
  }

  let { groups, by, onby, onopen }: Props = $props();

  const head = 'px-3 py-1.5 text-left text-[0.8rem] font-semibold text-soft';
  const cell = 'border-t border-line-soft px-3 py-1.5 max-md:px-1.5';
  const opens = 'min-h-[24px] font-semibold text-kelp hover:underline disabled:text-soft';
</script>

<label class="flex items-center gap-2 px-3.5 pt-2.5">
  <span class="text-soft">By</span>
  <select
    class="h-8 rounded-md border-line bg-card py-0 ps-1.5 pe-7"
    value={by}
    onchange={(event) => onby(event.currentTarget.value as By)}
  >
    {#each BY as choice (choice.value)}
      <option value={choice.value}>{choice.name}</option>
    {/each}
  </select>
</label>
<table class="mt-1 w-full">
  <thead>
    <tr>
      <th scope="col" class={head}><span class="sr-only">Group</span></th>
      <th scope="col" class={`${head} text-right`}>Delivered</th>
      <th scope="col" class={`${head} w-1/3`}>A person opened, of the delivered</th>
      <th scope="col" class={`${head} text-right`}>Replied</th>
      <th scope="col" class={`${head} w-1/4 max-md:hidden`}>Replied, of the delivered</th>
    </tr>
  </thead>
  <tbody>
    {#each groups as group (group.value)}
      <tr>
        <td class={cell}>
          <button type="button" class={opens} onclick={() => onopen(group.value)}
            >{group.label}</button
          >
        </td>
        <td class={`${cell} text-right tabular-nums`}>
          <button
            type="button"
            class={opens}
            disabled={!group.delivered}
            onclick={() => onopen(group.value, { also: 'DELIVERED' })}
            >{count(group.delivered)}</button
          >
        </td>
        <td class={cell}>
          <span class="flex items-center gap-3">
            <button
              type="button"
              class={`${opens} w-10 text-right tabular-nums`}
              disabled={!group.read}
              onclick={() => onopen(group.value, { also: 'READ' })}>{count(group.read)}</button
            >
            <ShareBar share={group.readShare} />
          </span>
        </td>
        <td class={`${cell} text-right tabular-nums`}>
          <button
            type="button"
            class={opens}
            disabled={!group.replied}
            onclick={() => onopen(group.value, { part: 'REPLIED' })}>{count(group.replied)}</button
          >
        </td>
        <td class={`${cell} max-md:hidden`}><ShareBar share={group.repliedShare} /></td>
      </tr>
    {:else}
      <tr><td class={`${cell} text-soft`} colspan="5">Nobody has anything of the kind.</td></tr>
    {/each}
  </tbody>
</table>
