<script lang="ts">
  import { goto } from '$app/navigation';
  import { fromFilter } from '$lib/filter/draft';
  import { keys } from '$lib/keys/keys.svelte';
  import { searches } from '$lib/list/search.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import { Input } from 'flowbite-svelte';
  import { toWrite, type Findable, type Sought } from './findable';
  import { useFinding } from './finding.svelte';

  let words = $state('');
  let at = $state(0);
  /** Enter was pressed before the words were read; whether to write to whom they find. */
  let wanted = $state<{ writes: boolean } | null>(null);
  const finding = useFinding(
    () => words,
    () => keys.finder
  );
  const results = $derived(finding.results);

  function seek(sought: Sought, writes: boolean) {
    const search = searches[sought.subject];
    search.change(fromFilter(sought.filter));
    search.kept = sought.kept ?? null;
    search.archived = false;
    search.writes = writes;
  }

  function choose(result: Findable | undefined, writes = false) {
    wanted = null;
    if (!result) return;
    keys.finder = false;
    if (result.seek) seek(result.seek, writes);
    if (result.path === '?') keys.list = true;
    else void goto(result.path);
  }

  function press(writes: boolean) {
    choose(writes ? toWrite(results, at) : results[at], writes);
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'ArrowDown') at = Math.min(at + 1, results.length - 1);
    else if (event.key === 'ArrowUp') at = Math.max(at - 1, 0);
    else if (event.key === 'Enter') wanted = { writes: event.ctrlKey || event.metaKey };
    else return;
    event.preventDefault();
    event.stopPropagation();
  }

  $effect(() => {
    if (wanted && finding.isRead) press(wanted.writes);
  });
  $effect(() => {
    if (keys.finder) return;
    words = '';
    at = 0;
    wanted = null;
  });
</script>

<Ask bind:open={keys.finder} title="Find or do" wide>
  <Input
    bind:value={words}
    {onkeydown}
    oninput={() => ((at = 0), (wanted = null))}
    placeholder="Whom you seek (members joined last month), a name, a number, a screen"
    aria-label="Find or do"
    role="combobox"
    aria-expanded="true"
    aria-controls="found"
    aria-activedescendant={results.length ? `found-${at}` : undefined}
    autocomplete="off"
    data-autofocus
  />
  <ul id="found" role="listbox" aria-label="Found" class="mt-2 max-h-[50vh] overflow-y-auto">
    {#each results as result, i (result.path + result.name + result.kind)}
      <!-- The field above moves through the list by arrow keys. -->
      <!-- svelte-ignore a11y_click_events_have_key_events -->
      <li
        id={`found-${i}`}
        role="option"
        aria-selected={i === at}
        class={`flex cursor-pointer justify-between gap-3 rounded-md px-2.5 py-1.5 ${i === at ? 'bg-kelp-pale' : ''}`}
        onclick={() => choose(result)}
      >
        <span class="font-semibold">{result.name}</span>
        <span class="text-right text-soft">{result.kind}</span>
      </li>
    {:else}
      <li class="px-2.5 py-1.5 text-soft">Nothing is called “{words}”.</li>
    {/each}
  </ul>
</Ask>
