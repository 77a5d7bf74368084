<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { ColleagueName } from '$lib/api/types';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  interface Props {
    colleagues: ColleagueName[];
  }

  let { colleagues }: Props = $props();
  const query = createQuery(() => ({
    queryKey: ['sign-in-rules'],
    queryFn: () => answer(api.GET('/api/sign-in-rules'))
  }));
  const there = $derived(colleagues.filter((c) => !c.off));
  const having = $derived(there.filter((c) => c.secondFactor).length);

  async function demand(event: Event & { currentTarget: HTMLInputElement }) {
    const secondFactor = event.currentTarget.checked;
    try {
      await answer(api.PUT('/api/sign-in-rules', { body: { secondFactor } }));
      notices.say(
        secondFactor
          ? 'Whoever has none sets one up before anything else.'
          : 'A password alone lets in whoever has set up nothing more.'
      );
    } catch (error) {
      event.currentTarget.checked = !secondFactor;
      notices.fail(error);
    }
    await query.refetch();
  }
</script>

{#if query.data}
  <label class="flex flex-wrap items-center gap-x-2 gap-y-1">
    <input
      type="checkbox"
      class="rounded border-line text-kelp"
      checked={query.data.secondFactor}
      onchange={demand}
    />
    Everyone needs a second factor
    <span class="text-soft">{having} of {there.length} have set one up</span>
  </label>
{/if}
