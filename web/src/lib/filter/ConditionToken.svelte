<script lang="ts">
  import { colleaguesQuery, mailingsQuery } from '$lib/api/queries';
  import type { Condition, FilterField } from '$lib/api/types';
  import { calendarDay } from '$lib/format/dates';
  import Popup from '$lib/ui/Popup.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import ConditionEditor from './ConditionEditor.svelte';
  import { token } from './token';

  interface Props {
    condition: Condition;
    fields: FilterField[];
    open: boolean;
    onopen: (open: boolean) => void;
    onchange: (condition: Condition) => void;
    onremove: () => void;
  }

  let { condition, fields, open, onopen, onchange, onremove }: Props = $props();

  const colleagues = createQuery(() => ({
    ...colleaguesQuery(),
    enabled: condition.field === 'owner'
  }));
  const mailings = createQuery(() => ({
    ...mailingsQuery(),
    enabled: condition.field === 'mailing'
  }));

  function nameOf(field: string, key: string): string {
    if (field === 'mailing') return mailings.data?.find((m) => String(m.id) === key)?.name ?? key;
    return colleagues.data?.find((c) => c.login === key)?.name ?? key;
  }

  const shown = $derived(token(condition, fields, calendarDay, nameOf));

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      onremove();
    }
  }
</script>

<Popup bind:open={() => open, onopen} label={shown.label}>
  {#snippet trigger(toggle)}
    <button
      type="button"
      class="rounded-lg border border-line bg-card px-2.5 py-1 whitespace-nowrap hover:border-kelp-mid"
      onclick={toggle}
      {onkeydown}
    >
      <span class="font-semibold">{shown.label}</span>
      <span class="text-[0.87rem] text-soft">{shown.words}</span>
      <span class="font-semibold">{shown.values}</span>
    </button>
  {/snippet}
  <ConditionEditor {condition} {fields} {onchange} {onremove} ondone={() => onopen(false)} />
</Popup>
