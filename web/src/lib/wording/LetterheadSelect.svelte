<script lang="ts">
  import { letterheadsQuery } from '$lib/api/queries';
  import { createQuery } from '@tanstack/svelte-query';
  import { Select } from 'flowbite-svelte';

  interface Props {
    value: number | null;
  }

  let { value = $bindable() }: Props = $props();

  const letterheads = createQuery(letterheadsQuery);
</script>

<label class="flex items-center gap-2">
  <span class="text-soft">Letterhead</span>
  <Select
    class="h-8 w-48 py-0"
    placeholder=""
    items={[
      { value: 0, name: 'none' },
      ...(letterheads.data ?? []).map((l) => ({ value: l.id, name: l.name }))
    ]}
    bind:value={() => value ?? 0, (id) => (value = id || null)}
  />
</label>
