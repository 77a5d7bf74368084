<script lang="ts">
  import { allSeriesQuery } from '$lib/api/queries';
  import { createQuery } from '@tanstack/svelte-query';
  import { Select } from 'flowbite-svelte';

  interface Props {
    /** Its id; 0 for none. */
    value: number;
    /** What is said for none. */
    none?: string;
    onchange: (id: number) => void;
  }

  let { value, none = 'choose one', onchange }: Props = $props();

  const series = createQuery(allSeriesQuery);
  const open = $derived((series.data ?? []).filter((s) => s.state !== 'ENDED' || s.id === value));
</script>

<Select
  placeholder=""
  items={[
    { value: 0, name: open.length > 0 ? none : 'there is none yet' },
    ...open.map((s) => ({ value: s.id, name: s.name }))
  ]}
  bind:value={() => value, (id) => onchange(Number(id))}
/>
