<script lang="ts">
  import type { ColleagueName } from '$lib/api/types';
  import HouseButton from '$lib/ui/HouseButton.svelte';

  interface Props {
    colleague: ColleagueName;
    /** Whether whoever looks may change it. */
    mayChange: boolean;
    isMe: boolean;
    onchange: () => void;
    onlink: () => void;
    onsignout: () => void;
    onleave: () => void;
    onletin: () => void;
  }

  let { colleague, mayChange, isMe, onchange, onlink, onsignout, onleave, onletin }: Props =
    $props();
  const standing = $derived(
    colleague.off ? 'switched off' : colleague.invited ? 'invited, has no password yet' : ''
  );
</script>

<li
  class="flex flex-wrap items-center gap-x-6 gap-y-1 px-4 py-2.5"
  data-colleague={colleague.login}
>
  <div class="min-w-52 flex-1">
    <p class={`font-semibold ${colleague.off ? 'text-soft' : ''}`}>
      {colleague.name}{isMe ? ' (you)' : ''}
      {#if standing}<span class="ms-2 font-normal text-ochre">{standing}</span>{/if}
    </p>
    <p class="text-[0.9rem] text-soft">{colleague.title}</p>
  </div>
  <p class="min-w-56 flex-1 text-[0.93rem]">
    {colleague.email}
    <span class="block text-[0.9rem] text-soft"
      >signs in as {colleague.login}{colleague.secondFactor ? ', with a second factor' : ''}</span
    >
  </p>
  <p class="w-32">{colleague.role}</p>
  {#if mayChange}
    <div class="flex flex-wrap gap-x-4 gap-y-1 lg:max-w-[27rem] lg:justify-end">
      <HouseButton weight="quiet" class="min-h-[26px]" onclick={onchange}>Change</HouseButton>
      {#if !colleague.off && !isMe}
        <HouseButton weight="quiet" class="min-h-[26px]" onclick={onlink}
          >{colleague.invited ? 'Invite again' : 'New password'}</HouseButton
        >
        {#if !colleague.invited}
          <HouseButton weight="quiet" class="min-h-[26px]" onclick={onsignout}
            >Sign out everywhere</HouseButton
          >
        {/if}
      {/if}
      {#if !isMe}
        <HouseButton weight="quiet" class="min-h-[26px]" onclick={colleague.off ? onletin : onleave}
          >{colleague.off ? 'Let in again' : 'Switch off'}</HouseButton
        >
      {/if}
    </div>
  {/if}
</li>
