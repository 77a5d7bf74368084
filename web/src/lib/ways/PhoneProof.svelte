<script lang="ts">
  import type { Proof } from '$lib/api/types';
  import { money } from '$lib/format/numbers';

  interface Props {
    phone: NonNullable<Proof['phone']>;
  }

  let { phone }: Props = $props();
  const parts = $derived(phone.parts === 1 ? '1 part' : `${phone.parts} parts`);
</script>

<!-- What scrolls must be reachable by key. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div
  class="mx-auto flex min-h-0 w-[17.5rem] max-w-full flex-1 flex-col overflow-y-auto rounded-t-[1.6rem] border-2 border-b-0 border-line bg-shade px-3 pt-5"
  tabindex="0"
  role="region"
  aria-label="The text as a phone shows it"
>
  <p class="mb-2 text-center text-[0.82rem] text-soft">{phone.from || 'no sender yet'}</p>
  <p
    class="me-6 rounded-lg rounded-es-none bg-card px-3 py-2 text-[0.93rem] break-words whitespace-pre-wrap text-ink"
    data-proof-text
  >
    {phone.words}
  </p>
</div>
<p class="mt-2 flex flex-wrap gap-x-3 text-[0.87rem] text-soft">
  <span>{phone.units} {phone.units === 1 ? 'unit' : 'units'} in {parts}, {phone.left} left</span>
  <span class="ms-auto"
    >{phone.cost === null ? 'no price is known' : money(phone.cost, phone.currency)}</span
  >
</p>
