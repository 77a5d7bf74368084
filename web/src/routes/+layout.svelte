<script lang="ts">
  import '../app.css';
  import { afterNavigate, goto } from '$app/navigation';
  import { page } from '$app/state';
  import { onSignedOut } from '$lib/api/client';
  import { fieldsQuery } from '$lib/api/queries';
  import { listen } from '$lib/live/live';
  import Finder from '$lib/shell/Finder.svelte';
  import KeyList from '$lib/keys/KeyList.svelte';
  import { keys } from '$lib/keys/keys.svelte';
  import TopBar from '$lib/shell/TopBar.svelte';
  import { session } from '$lib/session/session.svelte';
  import RestoredBand from '$lib/restored/RestoredBand.svelte';
  import SetUpBand from '$lib/setup/SetUpBand.svelte';
  import FactorFirst from '$lib/session/FactorFirst.svelte';
  import SignInAgain from '$lib/session/SignInAgain.svelte';
  import Notices from '$lib/ui/Notices.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import '$lib/ui/appearance.svelte';
  import { focusHeading } from '$lib/ui/focusHeading';
  import { keepFocus } from '$lib/ui/keepFocus';
  import { theme } from '$lib/ui/theme';
  import { QueryClient, QueryClientProvider } from '@tanstack/svelte-query';
  import { ThemeProvider } from 'flowbite-svelte';
  import { onMount, type Snippet } from 'svelte';

  let { children }: { children: Snippet } = $props();

  const queries = new QueryClient({
    defaultOptions: { queries: { retry: 1, staleTime: 1000, refetchOnWindowFocus: true } }
  });
  let trouble = $state<unknown>(null);
  /** Screens for whoever is not signed in. */
  const signingIn = $derived(
    ['/sign-in', '/new-password', '/first-start'].includes(page.url.pathname)
  );

  async function begin() {
    trouble = null;
    try {
      await session.load();
      if (!session.colleague && !signingIn) await toSignIn();
    } catch (error) {
      trouble = error;
    }
  }

  async function toSignIn() {
    const back = page.url.pathname + page.url.search;
    await goto(`/sign-in?back=${encodeURIComponent(back)}`);
  }

  function leave() {
    session.over = false;
    session.colleague = null;
    queries.clear();
    void toSignIn();
  }

  // What was used is gone with the page before: keys and readers begin at the new page's heading.
  afterNavigate(({ from }) => {
    if (from && document.activeElement === document.body) void focusHeading();
  });

  $effect(() =>
    session.colleague && !session.colleague.secondFactorFirst && !session.over
      ? listen(queries)
      : undefined
  );

  onMount(() => {
    onSignedOut.call = () => {
      if (session.colleague && !signingIn) session.over = true;
    };
    // The page asked for them before its scripts were here (app.html). A refusal of that time is
    // used up now: else it would be the answer to the first question after somebody signed in.
    void queries.prefetchQuery({ ...fieldsQuery(), retry: false });
    void begin();
    return keepFocus();
  });
</script>

<svelte:window onkeydown={keys.handle} />

<ThemeProvider {theme}>
  <QueryClientProvider client={queries}>
    {#if trouble}
      <Trouble error={trouble} onretry={begin} />
    {:else if signingIn}
      {@render children()}
    {:else if session.colleague?.secondFactorFirst}
      <FactorFirst onleave={leave} />
    {:else if session.colleague}
      <div class="flex h-dvh min-h-0 flex-col">
        <TopBar />
        <main
          class="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto px-5 pt-3.5 pb-4 max-md:px-3"
        >
          <RestoredBand />
          {#if session.may('SETTINGS')}<SetUpBand />{/if}
          {@render children()}
        </main>
      </div>
      <SignInAgain onleave={leave} />
      <Finder />
      <KeyList />
    {/if}
    <Notices />
  </QueryClientProvider>
</ThemeProvider>
