<script lang="ts">
  import { waysQuery } from '$lib/api/queries';
  import { count } from '$lib/format/numbers';
  import { createQuery } from '@tanstack/svelte-query';
  import { addedWords, byWay, sooner, wayName, withoutWay, withWay, type Channel } from './ways';

  interface Props {
    ways: Channel[];
    editable: boolean;
    /** How many each reaches; nothing where that is not known. */
    reached?: (way: Channel) => number | undefined;
    /**
     * They are wanted otherwise.
     * @param added the way that is new; null when none is
     * @param words what was done
     */
    onchange: (ways: Channel[], added: Channel | null, words: string) => void;
    class?: string;
  }

  let { ways, editable, reached = () => undefined, onchange, class: extra = '' }: Props = $props();
  const house = createQuery(waysQuery);
  /** Ways of this house that something can be written for, and that it does not go yet. */
  const others = $derived(
    (house.data ?? []).map((way) => way.channel).filter((way) => !ways.includes(way))
  );
  const several = $derived(ways.length > 1);
  const shown = $derived(several || ways[0] !== 'EMAIL' || (editable && others.length > 0));
</script>

{#if shown}
  <div
    class={`flex flex-wrap items-center gap-x-2 text-[0.9rem] ${extra}`}
    role="group"
    aria-label="Ways"
  >
    <span class="text-soft">Goes by</span>
    {#each ways as way, place (way)}
      {#if place}<span class="text-soft">else</span>{/if}
      <span class="inline-flex items-baseline gap-1 rounded-md bg-shade px-1.5">
        {#if editable && place}
          <button
            type="button"
            class="min-h-[24px] text-kelp hover:text-ink"
            aria-label={`Try ${wayName(way)} sooner`}
            title={`Try ${wayName(way)} before ${wayName(ways[place - 1] ?? way)}`}
            onclick={() => onchange(sooner(ways, way), null, `It is tried sooner ${byWay(way)}.`)}
            >↰</button
          >
        {/if}
        <strong class="font-semibold">{wayName(way)}</strong>
        {#if several && reached(way) !== undefined}
          <span class="text-soft">{count(reached(way) ?? 0)}</span>
        {/if}
        {#if editable && several}
          <button
            type="button"
            class="min-h-[24px] px-0.5 text-soft hover:text-ink"
            aria-label={`Do not go by ${wayName(way)}`}
            title={`Do not go by ${wayName(way)}`}
            onclick={() => onchange(withoutWay(ways, way), null, `It does not go ${byWay(way)}.`)}
            >×</button
          >
        {/if}
      </span>
    {/each}
    {#if editable}
      {#each others as way (way)}
        <button
          type="button"
          class="min-h-[24px] font-semibold text-kelp hover:underline"
          onclick={() => onchange(withWay(ways, way), way, addedWords(way))}
          >+ {wayName(way)}</button
        >
      {/each}
    {/if}
  </div>
{/if}
