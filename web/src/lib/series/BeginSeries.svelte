<script lang="ts">
  import { goto } from '$app/navigation';
  import { answer, api } from '$lib/api/client';
  import { topicItems } from '$lib/house/topics';
  import { startersQuery, topicsQuery } from '$lib/api/queries';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { Input, Select } from 'flowbite-svelte';

  interface Props {
    open: boolean;
  }

  let { open = $bindable() }: Props = $props();

  const topics = createQuery(topicsQuery);
  const starters = createQuery(() => ({ ...startersQuery(), enabled: open }));
  const EMPTY = { key: '', name: 'An empty one', about: 'Steps are added one by one.', steps: 0 };
  const beginnings = $derived([...(starters.data ?? []), EMPTY]);
  let chosen = $state('');
  let named = $state('');
  let topic = $state(0);
  /** As long as nothing is typed it is called as what it begins from. */
  const name = $derived(named || (beginnings.find((b) => b.key === chosen && b.key)?.name ?? ''));

  async function begin() {
    try {
      const body = {
        name,
        topicId: topic || (topics.data?.[0]?.id ?? 0),
        starter: chosen || null
      };
      const begun = await answer(api.POST('/api/series', { body }));
      await goto(`/mailings/series/${begun.id}`);
    } catch (error) {
      notices.fail(error);
    }
  }
</script>

<Ask bind:open title="A new series" wide>
  <form
    id="new-series"
    class="flex flex-col gap-3"
    onsubmit={(event) => {
      event.preventDefault();
      void begin();
    }}
  >
    <fieldset>
      <legend class="pb-1">It begins from</legend>
      <div class="grid grid-cols-2 gap-x-5 max-md:grid-cols-1">
        {#each beginnings as beginning (beginning.key)}
          <label class="flex min-h-[44px] gap-2.5 py-1.5">
            <input
              type="radio"
              name="starter"
              class="mt-1"
              value={beginning.key}
              bind:group={chosen}
              data-autofocus={beginning.key === '' ? true : undefined}
            />
            <span>
              <strong>{beginning.name}</strong>
              {#if beginning.steps}<span class="text-soft">· {beginning.steps} steps</span>{/if}
              <span class="block text-[0.9rem] text-soft">{beginning.about}</span>
            </span>
          </label>
        {/each}
      </div>
    </fieldset>
    <div class="grid grid-cols-2 gap-5 max-md:grid-cols-1">
      <label class="flex flex-col gap-1">
        Name
        <Input
          bind:value={() => name, (typed) => (named = typed)}
          maxlength={200}
          required
          autocomplete="off"
        />
      </label>
      <label class="flex flex-col gap-1">
        Topic, which people can leave
        <Select
          placeholder=""
          items={topicItems(topics.data, topic || null)}
          bind:value={() => topic || (topics.data?.[0]?.id ?? 0), (id) => (topic = id)}
        />
      </label>
    </div>
  </form>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    <HouseButton weight="main" type="submit" form="new-series" disabled={!name.trim()}
      >Begin</HouseButton
    >
  {/snippet}
</Ask>
