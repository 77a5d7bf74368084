<script lang="ts">
  import Ask from '$lib/ui/Ask.svelte';
  import { keys } from './keys.svelte';
  import { piecesOf, shortcuts } from './shortcuts';

  const places = [
    { where: 'everywhere', title: 'Everywhere' },
    { where: 'lists', title: 'In a list of people' },
    { where: 'mailing', title: 'On a mailing' },
    { where: 'writing', title: 'While writing' }
  ];
</script>

<Ask bind:open={keys.list} title="Keys" wide>
  <p class="text-soft">Untick any key that gets in your way.</p>
  <div class="grid grid-cols-2 gap-x-8 max-md:grid-cols-1">
    {#each places as place (place.where)}
      <section class="mt-3">
        <h3 class="mb-1 text-[0.95rem]">{place.title}</h3>
        <ul>
          {#each shortcuts.filter((s) => s.where === place.where) as shortcut (shortcut.key)}
            <li>
              <label class="flex items-center gap-2.5 py-0.5">
                <input
                  type="checkbox"
                  class="rounded-[3px] border-soft text-kelp"
                  checked={!keys.isOff(shortcut.key)}
                  onchange={(e) => keys.turn(shortcut.key, e.currentTarget.checked)}
                />
                <span class="flex-1 text-soft">{shortcut.words}</span>
                <span class="whitespace-nowrap">
                  {#each piecesOf(shortcut.key) as piece, i (i)}
                    <kbd class="ms-1 rounded border border-line px-1.5 text-[0.8rem]">{piece}</kbd>
                  {/each}
                </span>
              </label>
            </li>
          {/each}
        </ul>
      </section>
    {/each}
  </div>
  {#snippet actions()}
    <button type="button" class="font-semibold text-kelp" onclick={() => (keys.list = false)}>
      Close
    </button>
  {/snippet}
</Ask>
