<script lang="ts">
  import { UNTOLD } from '$lib/live/live';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { answer, api } from '$lib/api/client';
  import { count } from '$lib/format/numbers';
  import { keys } from '$lib/keys/keys.svelte';
  import { tabs } from '$lib/keys/shortcuts';
  import { notices } from '$lib/ui/notices.svelte';
  import { look, type Look } from '$lib/ui/appearance.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import SectionMenu from './SectionMenu.svelte';
  import { session } from '$lib/session/session.svelte';

  const counts = createQuery(() => ({
    queryKey: ['counts'],
    queryFn: () => answer(api.GET('/api/desk/counts')),
    refetchInterval: UNTOLD
  }));
  const numbers = $derived<Record<string, number>>({
    '/mailings': counts.data?.drafts ?? 0,
    '/outbox': counts.data?.toDepart ?? 0,
    '/tasks': counts.data?.tasks ?? 0
  });
  const meanings: Record<string, string> = { '/mailings': 'drafts', '/outbox': 'to leave' };
  const looks: { look: Look; words: string }[] = [
    { look: 'light', words: 'Light' },
    { look: 'dark', words: 'Dark' },
    { look: 'machine', words: 'As this machine' }
  ];
  let menu = $state(false);

  /** "Orla Finch" as "OF", where there is no room for more. */
  function initials(name: string): string {
    return name
      .split(' ')
      .map((part) => [...part][0] ?? '')
      .join('');
  }

  async function signOut() {
    try {
      await session.signOut();
      await goto('/sign-in');
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<header class="flex items-end bg-bar text-bar-ink max-md:items-center">
  <a
    href="/desk"
    class="flex h-[52px] items-center ps-5 pe-6 font-heading text-[1.4rem] font-bold text-white max-md:ps-3 max-md:pe-2 max-lg:pe-3"
  >
    Jemble
  </a>
  <SectionMenu {numbers} {meanings} />
  <nav aria-label="Screens" class="flex min-w-0 max-md:hidden">
    {#each tabs as tab (tab.path)}
      {@const here = page.url.pathname.startsWith(tab.path)}
      <a
        href={tab.path}
        aria-current={here ? 'page' : undefined}
        class={`flex h-[44px] items-center gap-2 rounded-t-lg px-[13px] whitespace-nowrap max-lg:px-2 max-lg:text-[0.93rem] ${here ? 'bg-paper font-semibold text-kelp' : 'font-medium hover:text-white'}`}
      >
        {tab.name}
        {#if numbers[tab.path]}
          <span
            class={`rounded px-1.5 text-[0.8rem] leading-5 font-bold max-lg:hidden ${here ? 'bg-kelp-pale' : 'bg-black/25'}`}
            title={`${count(numbers[tab.path] ?? 0)} ${meanings[tab.path]}`}
            >{count(numbers[tab.path] ?? 0)}</span
          >
        {/if}
      </a>
    {/each}
  </nav>
  <div class="ms-auto flex h-[52px] items-center gap-4 pe-5 max-md:gap-3 max-md:pe-3">
    <button
      type="button"
      class="min-h-[44px] hover:text-white"
      aria-label="Find or do anything"
      onclick={() => (keys.finder = true)}
    >
      Find<span class="max-md:hidden">&nbsp;or do…</span>
      <kbd class="rounded border border-current px-1 text-[0.7rem] max-md:hidden">/</kbd>
    </button>
    <div class="relative">
      <button
        type="button"
        class="min-h-[44px] font-medium hover:text-white"
        aria-label={session.colleague?.name}
        aria-expanded={menu}
        onclick={() => (menu = !menu)}
        ><span class="md:hidden">{initials(session.colleague?.name ?? '')}</span><span
          class="max-md:hidden">{session.colleague?.name}</span
        ></button
      >
      {#if menu}
        <div class="panel absolute top-11 right-0 z-40 w-56 p-3 text-ink shadow-lg">
          <p class="font-semibold">{session.colleague?.house}</p>
          <p class="mb-2 text-[0.87rem] text-soft">
            {session.colleague?.role}{session.colleague?.ownPeople ? ', own people' : ''} · {session
              .colleague?.email}
          </p>
          <fieldset class="border-t border-line-soft pt-2">
            <legend class="sr-only">Look</legend>
            {#each looks as option (option.look)}
              <label class="flex items-center gap-2 py-0.5">
                <input
                  type="radio"
                  name="look"
                  class="text-kelp"
                  checked={look.choice === option.look}
                  onchange={() => look.choose(option.look)}
                />
                {option.words}
              </label>
            {/each}
          </fieldset>
          <a
            class="mt-2 block border-t border-line-soft pt-2 text-kelp hover:underline"
            href="/settings/signature"
            onclick={() => (menu = false)}>Your name and signature</a
          >
          <a
            class="block pt-1 text-kelp hover:underline"
            href="/settings/sessions"
            onclick={() => (menu = false)}>Password and sessions</a
          >
          <a
            class="block pt-1 text-kelp hover:underline"
            href="/settings/house"
            onclick={() => (menu = false)}>Settings of the house</a
          >
          <button
            type="button"
            class="block w-full pt-1 text-left text-kelp hover:underline"
            onclick={() => ((menu = false), (keys.list = true))}>All keys</button
          >
          <button type="button" class="pt-1 text-kelp hover:underline" onclick={signOut}
            >Sign out</button
          >
        </div>
      {/if}
    </div>
  </div>
</header>
<svelte:window onkeydown={(e) => e.key === 'Escape' && (menu = false)} />
