<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { session } from '$lib/session/session.svelte';
  import { settingsPlaces } from '$lib/shell/settingsPlaces';
  import type { Snippet } from 'svelte';

  let { children }: { children: Snippet } = $props();
  const groups = $derived(
    settingsPlaces.map(({ title, places }) => ({
      title,
      places: places.filter((place) => !place.right || session.may(place.right))
    }))
  );
  const here = $derived(page.url.pathname);
</script>

<div class="flex min-h-0 flex-1 gap-5 max-lg:flex-none max-lg:flex-col max-lg:gap-3">
  <nav class="w-48 flex-none overflow-y-auto max-lg:hidden" aria-label="Settings">
    {#each groups as { title, places } (title)}
      <p class="mt-4 mb-1 text-[0.82rem] text-soft first:mt-1">{title}</p>
      <ul>
        {#each places as { name, path } (path)}
          <li>
            <a
              class={`block rounded-md px-2 py-1 ${here === path ? 'bg-kelp-pale font-semibold' : 'text-kelp hover:underline'}`}
              href={path}
              aria-current={here === path ? 'page' : undefined}>{name}</a
            >
          </li>
        {/each}
      </ul>
    {/each}
  </nav>
  <label class="flex items-center gap-2 lg:hidden">
    <span class="text-soft">Settings</span>
    <select
      class="min-h-11 min-w-0 flex-1 rounded-lg border-line bg-card py-1"
      value={here}
      onchange={(e) => goto(e.currentTarget.value)}
    >
      {#each groups as { title, places } (title)}
        <optgroup label={title}>
          {#each places as { name, path } (path)}<option value={path}>{name}</option>{/each}
        </optgroup>
      {/each}
    </select>
  </label>
  <div class="flex min-h-0 min-w-0 flex-1 flex-col gap-3 lg:overflow-y-auto">
    {@render children()}
  </div>
</div>
