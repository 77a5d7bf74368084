<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { Input } from 'flowbite-svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';

  interface Props {
    open: boolean;
    series: number;
  }

  let { open = $bindable(), series }: Props = $props();

  const queries = useQueryClient();
  const params = $derived({ path: { id: series } });
  const blanks = createQuery(() => ({
    queryKey: ['series', series, 'blanks'],
    queryFn: () => answer(api.GET('/api/series/{id}/blanks', { params }))
  }));
  let values = $state<Record<string, string>>({});
  const typed = $derived(Object.values(values).filter((value) => value.trim()).length);

  async function fill() {
    try {
      const left = await answer(
        api.PUT('/api/series/{id}/blanks', { params, body: $state.snapshot(values) })
      );
      await queries.invalidateQueries({ queryKey: ['series', series] });
      values = {};
      if (left.length === 0) open = false;
      notices.say(left.length ? `Filled in; ${left.length} left.` : 'All blanks are filled in.');
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<!-- Only with its blanks: the first of them has the focus as soon as it opens. -->
<Ask
  bind:open={() => open && !blanks.isPending, (shown) => (open = shown)}
  title="Fill in the blanks"
  wide
>
  <form
    id="fill-blanks"
    class="flex flex-col gap-3"
    onsubmit={(event) => {
      event.preventDefault();
      void fill();
    }}
  >
    <p class="text-soft">
      Each is filled in once, wherever it stands. An address of the web becomes a link. What stays
      empty stays a blank.
    </p>
    <div class="grid grid-cols-2 gap-x-5 gap-y-2.5 max-md:grid-cols-1">
      {#each blanks.data ?? [] as blank, at (blank)}
        <label class="flex flex-col gap-0.5">
          {blank.slice(1, -1)}
          <Input
            maxlength={1000}
            autocomplete="off"
            data-autofocus={at === 0 ? true : undefined}
            bind:value={() => values[blank] ?? '', (value) => (values[blank] = value)}
          />
        </label>
      {/each}
    </div>
  </form>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    <HouseButton weight="main" type="submit" form="fill-blanks" disabled={typed === 0}
      >Fill in</HouseButton
    >
  {/snippet}
</Ask>
