<script lang="ts">
  import { colleaguesQuery } from '$lib/api/queries';
  import { choosable } from '$lib/session/choosable';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Popup from '$lib/ui/Popup.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  interface Props {
    disabled: boolean;
    /** Sends the proof's message to a colleague; to oneself with null. */
    oncopy: (colleague: number | null) => void;
  }

  let { disabled, oncopy }: Props = $props();
  let open = $state(false);
  const colleagues = createQuery(() => ({ ...colleaguesQuery(), enabled: open }));

  function send(to: number) {
    open = false;
    oncopy(to);
  }
</script>

<span class="flex flex-none items-center">
  <HouseButton onclick={() => oncopy(null)} {disabled} shortcut="t"
    ><span class="whitespace-nowrap">Copy to me</span></HouseButton
  >
  <Popup bind:open label="Send a copy to a colleague" right>
    {#snippet trigger(toggle)}
      <button
        type="button"
        class="min-h-[26px] min-w-[26px] px-1.5 py-1 text-soft hover:text-ink"
        aria-label="Send a copy to a colleague"
        aria-expanded={open}
        {disabled}
        onclick={toggle}>▾</button
      >
    {/snippet}
    <p class="mb-1 text-soft">Send the message of the proof to</p>
    <ul>
      {#each choosable(colleagues.data) as c (c.id)}
        <li>
          <button
            type="button"
            class="w-full rounded px-2 py-1 text-left hover:bg-shade"
            onclick={() => send(c.id)}>{c.name} <span class="text-soft">{c.email}</span></button
          >
        </li>
      {/each}
    </ul>
  </Popup>
</span>
