<script lang="ts">
  import { colleaguesQuery } from '$lib/api/queries';
  import { choosable } from '$lib/session/choosable';
  import { createQuery } from '@tanstack/svelte-query';
  import { Select } from 'flowbite-svelte';

  interface Props {
    /** The colleague's login; empty for none in particular. */
    value: string;
    /** What is said for none in particular. */
    none: string;
  }

  let { value = $bindable(), none }: Props = $props();

  const colleagues = createQuery(colleaguesQuery);
</script>

<Select
  placeholder=""
  items={[
    { value: '', name: none },
    ...choosable(colleagues.data, (c) => c.login === value).map((c) => ({
      value: c.login,
      name: c.name
    }))
  ]}
  bind:value
/>
