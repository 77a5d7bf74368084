<script lang="ts">
  import { instead } from '$lib/api/instead';
  import { answer, api } from '$lib/api/client';
  import type { House } from '$lib/api/types';
  import { session } from '$lib/session/session.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import PageHead from '$lib/ui/PageHead.svelte';
  import { Sending } from '$lib/ui/sending.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { currencies, languages, zones } from '$lib/house/choices';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import type { Snippet } from 'svelte';

  const queries = useQueryClient();
  const query = createQuery(() => ({
    queryKey: ['house'],
    queryFn: () => answer(api.GET('/api/house')),
    refetchOnWindowFocus: false
  }));
  const mayChange = $derived(session.may('SETTINGS'));
  const sending = new Sending();
  let draft = $state<House | null>(null);
  $effect(() => {
    if (query.data && !draft) draft = structuredClone(query.data);
  });

  const by = (field: string) => draft?.setOutside.find((set) => set.field === field)?.by ?? '';

  const save = (event: SubmitEvent) =>
    sending.send(event, async () => {
      if (!draft) return;
      const { name, address, zone, language, mailDomain, email, holdSeconds } =
        $state.snapshot(draft);
      const { currency, dayOrder, weekStart } = $state.snapshot(draft);
      const body = {
        name,
        address,
        zone,
        language,
        mailDomain,
        email,
        holdSeconds,
        currency,
        dayOrder,
        weekStart
      };
      draft = structuredClone(await answer(api.PUT('/api/house', { body })));
      await session.load();
      void queries.invalidateQueries();
      notices.say('Saved; it holds from now on.');
    });

  const box = 'rounded-lg border-line bg-card px-2.5 py-1.5 disabled:text-soft';
</script>

{#snippet field(name: string, words: string, about: string, input: Snippet)}
  <div class="flex flex-col gap-1">
    <label class="flex flex-col gap-1">
      {words}
      {@render input()}
    </label>
    {#if sending.of(name)}
      <span class="text-brick" role="alert">{sending.of(name)}</span>
    {:else if by(name)}
      <span class="text-[0.87rem] text-soft">set outside, by {by(name)}</span>
    {:else if about}
      <span class="text-[0.87rem] text-soft">{about}</span>
    {/if}
  </div>
{/snippet}

<PageHead
  title="The house"
  words={mayChange
    ? 'What readers see of you, and by which clock you work.'
    : session.why('SETTINGS')}
>
  {#snippet actions()}
    {#if mayChange}
      <HouseButton weight="main" type="submit" form="house" disabled={sending.busy}
        >Save</HouseButton
      >
    {/if}
  {/snippet}
</PageHead>
{#if instead(query)}
  <Trouble error={query.error} onretry={() => query.refetch()} />
{:else if draft}
  {@const house = draft}
  <form id="house" onsubmit={save}>
    <fieldset
      class="panel grid max-w-4xl grid-cols-2 gap-4 p-4 max-md:grid-cols-1"
      disabled={!mayChange}
    >
      {#snippet name()}
        <input
          type="text"
          class={box}
          bind:value={house.name}
          disabled={!!by('name')}
          required
          maxlength="200"
        />
      {/snippet}
      {@render field('name', 'Name', 'as readers know you', name)}
      {#snippet address()}
        <input
          type="text"
          class={box}
          bind:value={house.address}
          disabled={!!by('address')}
          maxlength="200"
        />
      {/snippet}
      {@render field(
        'address',
        'Postal address',
        'stands at the end of each mail, as the law of many countries asks',
        address
      )}
      {#snippet zone()}
        <select class={box} bind:value={house.zone} disabled={!!by('zone')}>
          {#each zones(house.zone) as each (each)}<option value={each}
              >{each.replaceAll('_', ' ')}</option
            >{/each}
        </select>
      {/snippet}
      {@render field('zone', 'Time zone', 'of your days and hours; readers have their own', zone)}
      {#snippet language()}
        <select class={box} bind:value={house.language} disabled={!!by('language')}>
          {#each languages(house.language) as each (each.tag)}
            <option value={each.tag}>{each.name}</option>
          {/each}
        </select>
      {/snippet}
      {@render field(
        'language',
        'Language and country',
        'of what stands around messages: dates, amounts, the order of a day',
        language
      )}
      {#snippet currency()}
        <select class={box} bind:value={house.currency}>
          <option value={null}>that of the country</option>
          {#each currencies() as each (each.code)}
            <option value={each.code}>{each.name}</option>
          {/each}
        </select>
      {/snippet}
      {@render field('currency', 'Currency', 'of amounts that are written without one', currency)}
      {#snippet dayOrder()}
        <select class={box} bind:value={house.dayOrder}>
          <option value={null}>as the language has it</option>
          <option value="DAY_FIRST">day first: 25/12/2026</option>
          <option value="MONTH_FIRST">month first: 12/25/2026</option>
          <option value="YEAR_FIRST">year first: 2026-12-25</option>
        </select>
      {/snippet}
      {@render field(
        'dayOrder',
        'Days are typed',
        '3/4 is the third of April, or the fourth of March',
        dayOrder
      )}
      {#snippet weekStart()}
        <select class={box} bind:value={house.weekStart}>
          <option value={null}>as the country has it</option>
          <option value="MONDAY">Monday</option>
          <option value="SUNDAY">Sunday</option>
          <option value="SATURDAY">Saturday</option>
        </select>
      {/snippet}
      {@render field(
        'weekStart',
        'Weeks begin on',
        'as in “last visit this week”, and where a day is picked',
        weekStart
      )}
      {#snippet email()}
        <input
          type="email"
          class={box}
          bind:value={house.email}
          disabled={!!by('email')}
          maxlength="254"
        />
      {/snippet}
      {@render field(
        'email',
        'The house’s own e-mail',
        'where mailings may come from it, not from a colleague',
        email
      )}
      {#snippet mailDomain()}
        <input
          type="text"
          class={box}
          bind:value={house.mailDomain}
          disabled={!!by('mailDomain')}
          required
          maxlength="253"
        />
      {/snippet}
      {@render field(
        'mailDomain',
        'Mail domain',
        'what cannot be delivered comes back there',
        mailDomain
      )}
      {#snippet hold()}
        <span class="flex items-center gap-2">
          <input
            type="number"
            class={`${box} w-24`}
            min="0"
            max="3600"
            required
            bind:value={house.holdSeconds}
            disabled={!!by('holdSeconds')}
          /> seconds
        </span>
      {/snippet}
      {@render field('holdSeconds', 'A release can be taken back for', '', hold)}
    </fieldset>
  </form>
{/if}
