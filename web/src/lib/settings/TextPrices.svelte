<script lang="ts">
  import type { PhoneRules } from '$lib/api/types';
  import HouseButton from '$lib/ui/HouseButton.svelte';

  interface Props {
    prices: PhoneRules['prices'];
    currency: string;
    mayChange: boolean;
  }

  let { prices = $bindable(), currency, mayChange }: Props = $props();
  const field = 'w-full rounded-lg border-line bg-card px-2 py-1 disabled:text-soft';

  function change(place: number, of: Partial<PhoneRules['prices'][number]>) {
    prices = prices.map((price, i) => (i === place ? { ...price, ...of } : price));
  }
</script>

<h2 class="text-[1rem]">What a part of a text costs, in {currency}</h2>
<table class="w-full text-left">
  <thead>
    <tr class="text-[0.87rem] text-soft">
      <th class="pe-2 font-normal">Place</th>
      <th class="w-24 pe-2 font-normal whitespace-nowrap">Begins with</th>
      <th class="w-20 font-normal">A part</th>
      <th class="w-7"><span class="sr-only">Take away</span></th>
    </tr>
  </thead>
  <tbody>
    {#each prices as price, place (place)}
      <tr>
        <td class="py-0.5 pe-2">
          <input
            type="text"
            class={field}
            aria-label={`Place ${place + 1}`}
            value={price.where}
            oninput={(e) => change(place, { where: e.currentTarget.value })}
          />
        </td>
        <td class="py-0.5 pe-2">
          <input
            type="text"
            class={field}
            inputmode="numeric"
            aria-label={`Begins with, ${place + 1}`}
            placeholder="44"
            value={price.prefix}
            oninput={(e) => change(place, { prefix: e.currentTarget.value.trim() })}
          />
        </td>
        <td class="py-0.5">
          <input
            type="text"
            class={`${field} text-end`}
            inputmode="decimal"
            aria-label={`A part costs, ${place + 1}`}
            value={price.each}
            onchange={(e) => change(place, { each: Number(e.currentTarget.value) })}
          />
        </td>
        <td class="text-end">
          {#if mayChange}
            <button
              type="button"
              class="min-h-[26px] px-1 text-soft hover:text-ink"
              aria-label={`Take ${price.where || 'this price'} away`}
              onclick={() => (prices = prices.filter((_, i) => i !== place))}>×</button
            >
          {/if}
        </td>
      </tr>
    {/each}
  </tbody>
</table>
{#if mayChange}
  <p>
    <HouseButton
      weight="quiet"
      onclick={() => (prices = [...prices, { where: '', prefix: '', each: 0 }])}
      >Add a price</HouseButton
    >
  </p>
{/if}
