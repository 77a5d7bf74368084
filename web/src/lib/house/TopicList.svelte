<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { TopicsAndPlans } from '$lib/api/types';
  import { notices } from '$lib/ui/notices.svelte';
  import GivenUp from './GivenUp.svelte';
  import WordLine from './WordLine.svelte';
  import AddWord from './AddWord.svelte';

  interface Props {
    topics: TopicsAndPlans['topics'];
    mayChange: boolean;
    onchanged: (now: TopicsAndPlans) => void;
  }

  let { topics, mayChange, onchanged }: Props = $props();

  const add = async (name: string) =>
    onchanged(await answer(api.POST('/api/house/topics', { body: { name } })));

  async function retire(id: number, retired: boolean) {
    const params = { path: { id } };
    try {
      onchanged(
        await answer(api.PUT('/api/house/topics/{id}/retired', { params, body: { retired } }))
      );
    } catch (error) {
      notices.fail(error);
    }
  }

  async function rename(id: number, name: string) {
    const params = { path: { id } };
    onchanged(await answer(api.PUT('/api/house/topics/{id}', { params, body: { name } })));
  }
</script>

<section class="panel flex flex-col gap-1 p-4" aria-label="Topics">
  <h2 class="text-[1rem]">Topics</h2>
  <p class="mb-1 text-[0.9rem] text-soft">What mailings are about; readers can leave each alone.</p>
  <ul>
    {#each topics as topic (topic.id)}
      <WordLine name={topic.name} {mayChange} onrename={(name) => rename(topic.id, name)}>
        <GivenUp
          name={topic.name}
          retired={topic.retired}
          {mayChange}
          onretire={(retired) => retire(topic.id, retired)}
        />
      </WordLine>
    {/each}
  </ul>
  {#if mayChange}<AddWord words="Another topic" onadd={add} />{/if}
</section>
