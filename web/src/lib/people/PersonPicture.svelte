<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { Person } from '$lib/api/types';
  import LogoChoice from '$lib/picture/PictureChoice.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { useQueryClient } from '@tanstack/svelte-query';
  import { pathOf } from '$lib/picture/pictures';

  interface Props {
    person: Person;
    mayChange: boolean;
  }

  let { person, mayChange }: Props = $props();
  const queries = useQueryClient();

  async function set(key: string | null) {
    try {
      const params = { path: { id: person.id } };
      await answer(api.PUT('/api/people/{id}/picture', { params, body: { key } }));
      await queries.invalidateQueries({ queryKey: ['person', person.id] });
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

{#if mayChange}
  <div class="panel px-3.5 py-2.5">
    <LogoChoice bind:logoKey={() => person.pictureKey, (key) => void set(key)} words="Picture" />
  </div>
{:else if person.pictureKey}
  <img
    src={pathOf(person.pictureKey)}
    alt={person.name}
    class="max-h-24 self-start rounded border border-line"
  />
{/if}
