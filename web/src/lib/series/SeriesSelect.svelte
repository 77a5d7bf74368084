<script lang="ts">
  import { allSeriesQuery } from '$lib/api/queries';
  import { createQuery } from '@tanstack/svelte-query';
  import { Select } from 'flowbite-svelte';

  interface Props {
    /** Its id; 0 for none. */
    value: number;
    onchange: (id: number) => void;
  }

  let { value, onchange }: Props = $props();

  const series = createQuery(allSeriesQuery);
  const open = $derived((series.data ?? []).filter((s) => s.state !== 'ENDED' || s.id === value));
</script>

<Select
  placeholder=""
  items={[
    { value: 0, name: open.length > 0 ? 'choose one' : 'there is none yet' },
    ...open.map((s) => ({ value: s.id, name: s.name }))
  ]}
  bind:value={() => value, (id) => onchange(Number(id))}
/>
