<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { session } from '$lib/session/session.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { Select } from 'flowbite-svelte';

  interface Props {
    /** Whether its dialog is open: only then the house's offices are asked for. */
    open: boolean;
    value: string;
    first?: boolean;
  }

  let { open, value = $bindable(), first = false }: Props = $props();
  const known = createQuery(() => ({
    queryKey: ['offices'],
    queryFn: () => answer(api.GET('/api/offices')),
    enabled: open
  }));
</script>

<label class={`flex flex-col gap-1 ${first ? 'col-span-2' : ''}`}>
  Office
  <Select
    bind:value
    placeholder="Choose one"
    required
    items={(known.data ?? []).map((office) => ({ value: office, name: office }))}
    data-autofocus={first ? true : undefined}
  />
</label>
{#if known.data?.length === 0}
  <p class="col-span-2">
    {#if session.may('SETTINGS')}
      There are no offices yet. <a class="text-kelp underline" href="/settings/topics"
        >Name them in the words of the house</a
      >.
    {:else}
      There are no offices yet. An administrator names them in the words of the house.
    {/if}
  </p>
{/if}
