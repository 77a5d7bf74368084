<script lang="ts">
  import { goto } from '$app/navigation';
  import { mailingsQuery, templatesQuery } from '$lib/api/queries';
  import { peopleNamed } from '$lib/api/named';
  import Ask from '$lib/ui/Ask.svelte';
  import { Input } from 'flowbite-svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { keys } from '$lib/keys/keys.svelte';
  import { found, type Findable } from './findable';

  let words = $state('');
  let at = $state(0);

  const people = createQuery(() => peopleNamed(words, [], keys.finder));
  const mailings = createQuery(() => ({ ...mailingsQuery(), enabled: keys.finder }));
  const templates = createQuery(() => ({ ...templatesQuery(), enabled: keys.finder }));
  const results = $derived(
    found(words, {
      people:
        words.trim().length > 1
          ? (people.data ?? []).map((p) => ({ id: p.id, name: p.name ?? '' }))
          : [],
      mailings: mailings.data ?? [],
      templates: templates.data ?? []
    })
  );

  function choose(result: Findable | undefined) {
    if (!result) return;
    keys.finder = false;
    words = '';
    at = 0;
    if (result.path === '?') keys.list = true;
    else void goto(result.path);
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'ArrowDown') at = Math.min(at + 1, results.length - 1);
    else if (event.key === 'ArrowUp') at = Math.max(at - 1, 0);
    else if (event.key === 'Enter') choose(results[at]);
    else return;
    event.preventDefault();
  }
</script>

<Ask bind:open={keys.finder} title="Find or do" wide>
  <Input
    bind:value={words}
    {onkeydown}
    oninput={() => (at = 0)}
    placeholder="A person, a mailing, a template, a screen"
    aria-label="Find or do"
    role="combobox"
    aria-expanded="true"
    aria-controls="found"
    aria-activedescendant={results.length ? `found-${at}` : undefined}
    autocomplete="off"
    data-autofocus
  />
  <ul id="found" role="listbox" aria-label="Found" class="mt-2 max-h-[50vh] overflow-y-auto">
    {#each results as result, i (result.path + result.name)}
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
        <span class="text-soft">{result.kind}</span>
      </li>
    {:else}
      <li class="px-2.5 py-1.5 text-soft">Nothing is called “{words}”.</li>
    {/each}
  </ul>
</Ask>
