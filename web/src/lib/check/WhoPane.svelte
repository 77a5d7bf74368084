<script lang="ts">
  import LabelsForThem from './LabelsForThem.svelte';
  import VirtualRows from '$lib/ui/VirtualRows.svelte';
  import { whenSeen } from '$lib/ui/whenSeen';
  import type { AudiencePerson } from '$lib/api/types';
  import { folds } from '$lib/ui/folds.svelte';
  import { people } from '$lib/format/numbers';
  import Panel from '$lib/ui/Panel.svelte';
  import { byWay } from '$lib/ways/ways';
  import type { Which } from './checkParts';
  import type { Chosen } from './looking.svelte';
  import { isChosen, type Look } from './questions.svelte';

  interface Props {
    mailingId: number;
    /** The audience in words. */
    words: string;
    /** How many have words of their own. */
    ownWords: number;
    /** How many; not known before the first check. */
    total: number | undefined;
    /** Whether the list is what it is, or why it could not be had. */
    look: Look;
    list: AudiencePerson[];
    which: Which | null;
    current: Chosen | null;
    /** Whether people may still be left out. */
    editable: boolean;
    /** Whether it is still of use what the check noted about them. */
    noted: boolean;
    /** Whether people are reached on more ways than one. */
    severalWays: boolean;
    name: string;
    onname: (name: string) => void;
    onchoose: (row: Chosen) => void;
    onchange: () => void;
    onown: () => void;
    onall: () => void;
    onleaveout: (person: AudiencePerson) => void;
    ontakein: (person: AudiencePerson) => void;
    onend: () => void;
  }

  let {
    mailingId,
    words,
    ownWords,
    total,
    look,
    list,
    which,
    current,
    editable,
    noted,
    severalWays,
    name,
    onname,
    onchoose,
    onchange,
    onown,
    onall,
    onleaveout,
    ontakein,
    onend
  }: Props = $props();
</script>

{#if !folds.isOpen('who', true)}
  <button
    type="button"
    class="panel flex items-center gap-3 px-2 py-3 hover:bg-shade max-lg:hidden lg:[writing-mode:vertical-lr]"
    aria-label="Open Who"
    aria-expanded="false"
    onclick={() => folds.set('who', true)}
  >
    <span class="font-heading font-bold">Who</span>
    <span class="text-[0.85rem] text-soft">{total === undefined ? '' : people(total)}</span>
    <span aria-hidden="true">▸</span>
  </button>
{/if}
<Panel title="Who" class={folds.isOpen('who', true) ? '' : 'lg:hidden'}>
  {#snippet aside()}
    {total === undefined ? '' : people(total)}
    <button
      type="button"
      class="min-h-[26px] min-w-[26px] hover:text-ink max-lg:hidden"
      aria-label="Fold Who"
      aria-expanded="true"
      onclick={() => folds.set('who', false)}><span aria-hidden="true">◂</span></button
    >
  {/snippet}
  <div class="flex h-full flex-col">
    <div class="border-b border-line px-3.5 py-2">
      <p class="line-clamp-3 text-[0.87rem] text-soft" title={words}>{words}</p>
      <p class="flex gap-3 text-[0.87rem]">
        {#if editable}
          <button type="button" class="font-semibold text-kelp hover:underline" onclick={onchange}
            >Change</button
          >
        {/if}
        {#if ownWords && !which}
          <button type="button" class="text-kelp hover:underline" onclick={onown}
            >{ownWords} with own wording</button
          >
        {/if}
      </p>
      <input
        type="search"
        class="mt-1.5 w-full rounded-md border-line bg-card px-2 py-1 text-[0.93rem] placeholder:text-soft"
        placeholder="Find by name"
        aria-label="Find by name"
        value={name}
        oninput={(event) => onname(event.currentTarget.value)}
      />
      {#if which}
        <p class="mt-1.5 flex justify-between text-[0.87rem]">
          <strong>{which.words}</strong>
          <button type="button" class="text-kelp hover:underline" onclick={onall}>show all</button>
        </p>
        {#if which.reach && list.length}
          <LabelsForThem {mailingId} reason={which.reach} />
        {/if}
      {/if}
    </div>
    <ul class="min-h-0 flex-1 overflow-y-auto">
      <VirtualRows
        rows={list}
        key={(person) => `${person.id}-${person.recordId}`}
        height={52}
        as="li"
        insight={list.findIndex((person) => isChosen(person, current))}
      >
        {#snippet row(person, measured)}
          {@const ready = person.reach === 'READY'}
          <li
            {@attach measured}
            id={`who-${person.id}-${person.recordId}`}
            class={`group relative border-b border-line-soft ${isChosen(person, current) ? 'bg-kelp-pale' : ''}`}
          >
            <button
              type="button"
              class="block w-full px-3 py-1.5 text-left"
              aria-current={isChosen(person, current)}
              onclick={() => onchoose(person)}
            >
              <span class="flex items-baseline justify-between gap-2">
                <span
                  class={`truncate font-semibold ${ready ? '' : 'text-soft'}`}
                  title={person.name}>{person.name}</span
                >
                {#if severalWays && ready}
                  <span class="flex-none text-[0.82rem] text-soft" title={person.before.join('; ')}
                    >{byWay(person.channel)}</span
                  >
                {/if}
              </span>
              <span class="flex items-baseline justify-between gap-2 text-[0.82rem]">
                <span
                  class="truncate text-soft"
                  title={[ready ? person.line : person.reachWords, ...person.before].join('; ')}
                  >{ready ? person.line : person.reachWords}</span
                >
                {#if person.ownWords}
                  <span class="flex-none font-semibold text-kelp">own wording</span>
                {:else if noted && person.notes[0]}
                  <span class="flex-none font-semibold text-ochre" title={person.notes.join(', ')}>
                    {person.notes[0]}{person.notes.length > 1 ? ` +${person.notes.length - 1}` : ''}
                  </span>
                {/if}
              </span>
            </button>
            {#if editable && (ready || person.reach === 'LEFT_OUT')}
              <button
                type="button"
                class="absolute right-2 bottom-0.5 min-h-[24px] rounded bg-card px-1.5 text-[0.8rem] text-kelp opacity-0 group-hover:opacity-100 hover:underline focus:opacity-100 pointer-coarse:opacity-100"
                onclick={() => (ready ? onleaveout(person) : ontakein(person))}
              >
                {ready ? 'leave out' : 'take in again'}
              </button>
            {/if}
          </li>
        {/snippet}
      </VirtualRows>
      {#if list.length === 0}
        <li class="px-3 py-2 text-soft">
          {#if look.done}
            Nobody here.
          {:else if look.trouble}
            <span role="alert">{look.trouble.message}</span>
            <button type="button" class="text-kelp hover:underline" onclick={look.again}
              >Look again</button
            >
          {:else}
            Looking at everyone …
          {/if}
        </li>
      {/if}
      <li {@attach whenSeen(onend)} class="h-px" aria-hidden="true"></li>
    </ul>
  </div>
</Panel>
