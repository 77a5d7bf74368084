<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { FindingBody, NameMend } from '$lib/api/types';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { useQueryClient } from '@tanstack/svelte-query';
  import { Checkbox } from 'flowbite-svelte';
  import type { Writing } from '$lib/draft/writing.svelte';
  import { correctNames } from './mends';

  interface Props {
    writing: Writing;
    /** Which names are looked at; null closes it. */
    code: FindingBody['code'] | null;
  }

  let { writing, code = $bindable() }: Props = $props();
  const queries = useQueryClient();
  let names = $state<(NameMend & { wanted: boolean })[]>([]);
  let busy = $state(false);
  const wanted = $derived(names.filter((n) => n.wanted && n.after.trim()));

  $effect(() => {
    if (code) void load(code);
  });

  async function load(which: FindingBody['code']) {
    names = [];
    const params = { path: { id: writing.mailing.id }, query: { code: which } };
    try {
      const proposed = await answer(api.GET('/api/mailings/{id}/names', { params }));
      names = proposed.map((n) => ({ ...n, wanted: true }));
    } catch (error) {
      notices.fail(error);
    }
  }

  async function correct() {
    busy = true;
    try {
      const all = wanted.map((n) => ({ personId: n.personId, firstName: n.after.trim() }));
      await correctNames(queries, writing, all);
      code = null;
    } catch (error) {
      notices.fail(error);
    } finally {
      busy = false;
    }
  }
</script>

<Ask bind:open={() => code !== null, (open) => (code = open ? code : null)} title="Correct names">
  <p class="mb-2 text-soft">
    Look at each; what is not ticked stays as it is. The names change on record.
  </p>
  <ul class="max-h-72 overflow-y-auto">
    {#each names as name (name.personId)}
      <li class="flex items-center gap-3 border-b border-line-soft py-1.5">
        <Checkbox bind:checked={name.wanted} aria-label={`Correct ${name.name}`} />
        <span class="w-32 truncate text-soft">{name.before}</span>
        <input
          class="min-w-0 flex-1 rounded-md border-line bg-card px-2 py-0.5"
          aria-label={`First name of ${name.name}`}
          bind:value={name.after}
        />
      </li>
    {:else}
      <li class="py-2 text-soft">Looking…</li>
    {/each}
  </ul>
  {#snippet actions()}
    <HouseButton onclick={() => (code = null)}>Not now</HouseButton>
    <HouseButton weight="main" disabled={busy || !wanted.length} onclick={correct}>
      Correct {wanted.length}
    </HouseButton>
  {/snippet}
</Ask>
