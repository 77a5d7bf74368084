<script lang="ts">
  import { page } from '$app/state';
  import { count } from '$lib/format/numbers';
  import { tabs } from '$lib/keys/shortcuts';
  import Popup from '$lib/ui/Popup.svelte';

  interface Props {
    /** What is counted beside a section, by its path. */
    numbers: Record<string, number>;
    meanings: Record<string, string>;
  }

  let { numbers, meanings }: Props = $props();
  let open = $state(false);
  const here = $derived(tabs.find((tab) => page.url.pathname.startsWith(tab.path)));
</script>

<!-- On a phone the sections stand under one button: all of them in reach of a thumb. -->
<div class="md:hidden">
  <Popup bind:open label="Screens">
    {#snippet trigger(toggle)}
      <button
        type="button"
        class="flex min-h-[44px] items-center gap-1.5 rounded-lg bg-paper px-3 font-semibold text-kelp"
        aria-expanded={open}
        onclick={toggle}>{here?.name ?? 'Go to'} <span aria-hidden="true">▾</span></button
      >
    {/snippet}
    <ul class="min-w-52">
      {#each tabs as tab (tab.path)}
        <li>
          <a
            href={tab.path}
            aria-current={tab === here ? 'page' : undefined}
            class={`flex min-h-[44px] items-center justify-between gap-4 rounded px-2 ${tab === here ? 'bg-kelp-pale font-semibold' : 'hover:bg-shade'}`}
            onclick={() => (open = false)}
          >
            {tab.name}
            {#if numbers[tab.path]}
              <span class="text-[0.87rem] text-soft"
                >{count(numbers[tab.path] ?? 0)} {meanings[tab.path] ?? ''}</span
              >
            {/if}
          </a>
        </li>
      {/each}
    </ul>
  </Popup>
</div>
