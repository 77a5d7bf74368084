<script lang="ts">
  import { goto } from '$app/navigation';
  import { page as address } from '$app/state';
  import { ApiProblem, answer, api } from '$lib/api/client';
  import { Typed } from '$lib/draft/typed.svelte';
  import TypedBefore from '$lib/draft/TypedBefore.svelte';
  import type { ReaderLanguage, SignUpPageView } from '$lib/api/types';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { useQueryClient } from '@tanstack/svelte-query';
  import { Input } from 'flowbite-svelte';
  import AfterConfirming from './AfterConfirming.svelte';
  import PageAsks from './PageAsks.svelte';
  import PageProof from './PageProof.svelte';
  import PageTexts from './PageTexts.svelte';
  import ShareIt from './ShareIt.svelte';
  import { cameOf, fresh, keyOf } from './signup';
  import WhoSignedUp from './WhoSignedUp.svelte';

  interface Props {
    /** The page to change, or null for a new one. */
    shown: SignUpPageView | null;
  }

  let { shown }: Props = $props();
  const queries = useQueryClient();
  // A form begins with what was there and then goes its own way.
  // svelte-ignore state_referenced_locally
  const typed = new Typed(`sign-up.${shown?.id ?? 'new'}`, shown?.page ?? fresh());
  const page = $derived(typed.value);
  $effect(() => typed.keep());
  // svelte-ignore state_referenced_locally
  let ownKey = $state(shown !== null);
  // svelte-ignore state_referenced_locally
  let language = $state<ReaderLanguage>(page.words[0]?.language ?? 'EN');
  let part = $state<'page' | 'people'>(address.url.searchParams.has('people') ? 'people' : 'page');
  let wrong = $state('');
  let busy = $state(false);
  const mayWrite = $derived(session.may('SIGN_UPS'));

  async function save() {
    busy = true;
    wrong = '';
    try {
      const body = $state.snapshot(page);
      const saved = shown
        ? await answer(
            api.PUT('/api/sign-up-pages/{id}', { params: { path: { id: shown.id } }, body })
          )
        : await answer(api.POST('/api/sign-up-pages', { body }));
      queries.setQueryData(['sign-up-pages', saved.id], saved);
      await queries.invalidateQueries({ queryKey: ['sign-up-pages'] });
      page.version = saved.page.version;
      typed.saved($state.snapshot(page));
      notices.say(`“${saved.page.name}” is saved.`);
      if (!shown) await goto(`/people/sign-ups/${saved.id}`);
    } catch (error) {
      wrong = error instanceof ApiProblem && error.status < 500 ? error.message : '';
      if (!wrong) notices.fail(error);
    } finally {
      busy = false;
    }
  }
</script>

<PageHead title={page.name || 'New sign-up page'} words={shown ? cameOf(shown) : ''}>
  {#snippet actions()}
    {#if shown}
      <HouseButton onclick={() => (part = part === 'page' ? 'people' : 'page')}>
        {part === 'page'
          ? `Who signed up${shown.numbers.looks > 0 ? ` (${shown.numbers.looks} to look at)` : ''}`
          : 'The page'}
      </HouseButton>
    {/if}
    {#if mayWrite && part === 'page'}
      <HouseButton weight="main" onclick={save} disabled={busy}
        >{busy ? 'Saving…' : 'Save'}</HouseButton
      >
    {/if}
  {/snippet}
</PageHead>
{#if part === 'people' && shown}
  <Panel title="Who signed up"><WhoSignedUp pageId={shown.id} /></Panel>
{:else}
  <TypedBefore is={typed.fromBefore} onforget={() => typed.anew()} />
  {#if wrong}<p class="rounded-md bg-brick-pale px-3 py-1.5 text-brick" role="alert">
      {wrong}
    </p>{/if}
  <div class="grid min-h-[30rem] flex-1 grid-cols-2 gap-3 max-lg:grid-cols-1">
    <fieldset class="flex min-w-0 flex-col gap-3" disabled={!mayWrite}>
      <Panel title="Name and address">
        <div class="flex flex-col gap-2 p-3.5">
          <label class="flex flex-col gap-1">
            Name, for colleagues
            <Input
              maxlength={200}
              bind:value={
                () => page.name,
                (name) => {
                  page.name = name;
                  if (!ownKey) page.key = keyOf(name);
                }
              }
            />
          </label>
          <label class="flex flex-col gap-1">
            Its address ends with
            <Input
              maxlength={60}
              placeholder="harbour-news"
              bind:value={() => page.key, (key) => ((page.key = key), (ownKey = true))}
            />
          </label>
          <label class="flex items-center gap-2"
            ><input type="checkbox" bind:checked={page.open} /> Open: people can sign up</label
          >
          {#if shown}
            <a
              class="self-start break-all text-kelp underline"
              href={shown.address}
              target="_blank"
              rel="noopener">{shown.address}</a
            >
          {/if}
        </div>
      </Panel>
      <Panel title="What it asks"
        ><div class="px-3.5 pb-3.5"><PageAsks bind:page={typed.value} /></div></Panel
      >
      <Panel title="What it says"
        ><div class="p-3.5"><PageTexts bind:page={typed.value} bind:language /></div></Panel
      >
      <Panel title="When somebody confirms"
        ><div class="p-3.5"><AfterConfirming bind:page={typed.value} /></div></Panel
      >
      {#if shown}
        <Panel title="On another site"><div class="p-3.5"><ShareIt {shown} /></div></Panel>
      {/if}
    </fieldset>
    <div class="min-w-0 lg:sticky lg:top-0 lg:h-[calc(100dvh-9rem)]">
      <PageProof page={$state.snapshot(page)} {language} />
    </div>
  </div>
{/if}
