<script lang="ts">
  import Ask from '$lib/ui/Ask.svelte';
  import { keys } from './keys.svelte';
  import { shortcuts } from './shortcuts';

  const places = [
    { where: 'everywhere', title: 'Everywhere' },
    { where: 'lists', title: 'In a list of people' },
    { where: 'mailing', title: 'On a mailing' },
    { where: 'writing', title: 'While writing' }
  ];
</script>

<Ask bind:open={keys.list} title="Keys" wide>
  <div class="grid grid-cols-2 gap-x-8 max-md:grid-cols-1">
    {#each places as place (place.where)}
      <section class="mt-3">
        <h3 class="mb-1 text-[0.95rem]">{place.title}</h3>
        <dl>
          {#each shortcuts.filter((s) => s.where === place.where) as shortcut (shortcut.keys)}
            <div class="flex justify-between gap-4 py-0.5">
              <dd class="text-soft">{shortcut.words}</dd>
              <dt class="whitespace-nowrap">
                {#each shortcut.keys.split(' ') as key, i (i)}
                  <kbd class="ms-1 rounded border border-line px-1.5 text-[0.8rem]">{key}</kbd>
                {/each}
              </dt>
            </div>
          {/each}
        </dl>
      </section>
    {/each}
  </div>
  {#snippet actions()}
    <button type="button" class="font-semibold text-kelp" onclick={() => (keys.list = false)}>
      Close
    </button>
  {/snippet}
</Ask>
