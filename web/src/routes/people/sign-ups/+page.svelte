<script lang="ts">
  import { goto } from '$app/navigation';
  import { signUpPagesQuery } from '$lib/api/queries';
  import { session } from '$lib/session/session.svelte';
  import { cameOf } from '$lib/signup/signup';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  const query = createQuery(signUpPagesQuery);
</script>

<PageHead title="Sign-up pages" words="Where people ask for themselves to be written to.">
  {#snippet actions()}
    {#if session.may('SIGN_UPS')}
      <HouseButton weight="main" onclick={() => goto('/people/sign-ups/new')}
        >New sign-up page</HouseButton
      >
    {/if}
  {/snippet}
</PageHead>
{#if query.error}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if query.data}
  <section class="panel" aria-label="All sign-up pages">
    {#if query.data.length === 0}
      <p class="px-3.5 py-3 text-soft">
        No page yet. One asks for a name and an address, sends a mail to confirm them, and puts on
        record who does.
      </p>
    {/if}
    <ul>
      {#each query.data as shown (shown.id)}
        <li class="border-b border-line-soft last:border-b-0">
          <a
            class="flex min-h-[44px] flex-wrap items-baseline gap-x-4 px-3.5 py-2 hover:bg-kelp-pale"
            href={`/people/sign-ups/${shown.id}`}
          >
            <strong class="min-w-0 flex-1 break-words">{shown.page.name}</strong>
            {#if !shown.page.open}<span class="text-soft">closed</span>{/if}
            {#if shown.numbers.looks > 0}
              <span class="font-semibold text-ochre">{shown.numbers.looks} to look at</span>
            {/if}
            <span class="text-[0.87rem] text-soft">{cameOf(shown)}</span>
          </a>
        </li>
      {/each}
    </ul>
  </section>
{/if}
