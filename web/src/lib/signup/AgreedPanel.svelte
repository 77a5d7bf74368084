<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { dayAndTime } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import Panel from '$lib/ui/Panel.svelte';
  import { createQuery } from '@tanstack/svelte-query';

  interface Props {
    personId: number;
  }

  let { personId }: Props = $props();

  const agreed = createQuery(() => ({
    queryKey: ['sign-ups-of', personId],
    queryFn: () =>
      answer(
        api.GET('/api/sign-up-pages/of-person/{person}', {
          params: { path: { person: personId } }
        })
      )
  }));
</script>

{#if agreed.data?.length}
  <Panel title="Agreed to">
    <ul class="px-3.5 py-2">
      {#each agreed.data as one (one.id)}
        <li class="py-1">
          <span class="break-words">“{one.consent}”</span>
          <span class="block text-[0.87rem] text-soft">
            at {one.page}, version {one.consentVersion}, asked {dayAndTime(
              one.askedAt,
              session.zone
            )} from {one.askedFrom}, confirmed {dayAndTime(one.confirmedAt, session.zone)} from {one.confirmedFrom}
          </span>
        </li>
      {/each}
    </ul>
  </Panel>
{/if}
