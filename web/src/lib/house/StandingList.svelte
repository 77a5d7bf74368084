<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { StandingTable } from '$lib/api/types';
  import { count, people } from '$lib/format/numbers';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import AddWord from './AddWord.svelte';
  import GivenUp from './GivenUp.svelte';
  import GroupOf from './GroupOf.svelte';
  import { movedUp, WordOrder } from './order.svelte';
  import { standingWords } from './standing';
  import WordLine from './WordLine.svelte';

  interface Props {
    about: keyof typeof standingWords;
    mayChange: boolean;
  }

  let { about, mayChange }: Props = $props();
  const queries = useQueryClient();
  const query = createQuery(() => ({
    queryKey: ['house-standing'],
    queryFn: () => answer(api.GET('/api/house/standing'))
  }));
  const path = $derived({ path: { about } });
  const order = new WordOrder();
  const words = $derived(order.of(query.data?.[standingWords[about].held] ?? []));
  const said = $derived(standingWords[about]);
  const quiet = 'min-h-6 min-w-6 text-kelp hover:underline';

  /** Filters, lists and people say it by its new name. */
  function keep(now: StandingTable) {
    queries.setQueryData(['house-standing'], now);
    void queries.invalidateQueries();
  }

  const add = async (name: string) =>
    keep(await answer(api.POST('/api/house/standing/{about}', { params: path, body: { name } })));

  async function rename(name: string, to: string) {
    keep(
      await answer(
        api.PUT('/api/house/standing/{about}/name', { params: path, body: { name, to } })
      )
    );
    notices.say(`“${name}” is “${to.trim()}” now, for whoever has it and in every filter.`);
  }

  async function act(work: () => Promise<StandingTable>) {
    try {
      keep(await work());
    } catch (error) {
      notices.fail(error);
    }
  }

  const retire = (name: string, retired: boolean) =>
    act(() =>
      answer(
        api.PUT('/api/house/standing/{about}/retired', { params: path, body: { name, retired } })
      )
    );

  const setCounts = (name: string, counts: boolean) =>
    act(() => answer(api.PUT('/api/house/standing/STATUS/counts', { body: { name, counts } })));

  const group = (name: string, group: string) =>
    act(() => answer(api.PUT('/api/house/standing/OFFICE/group', { body: { name, group } })));

  const sendOrder = async (names: string[]) =>
    keep(await answer(api.PUT('/api/house/standing/{about}', { params: path, body: { names } })));

  function up(at: number) {
    const names = movedUp(
      words.map((word) => word.name),
      at
    );
    order.tell(names, sendOrder).catch((error: unknown) => notices.fail(error));
  }
</script>

<section class="panel flex flex-col gap-1 p-4" aria-label={said.title}>
  <h2 class="text-[1rem]">{said.title}</h2>
  <p class="mb-1 text-[0.9rem] text-soft">{said.words}</p>
  <ul>
    {#each words as word, at (word.name)}
      <WordLine name={word.name} {mayChange} crowded onrename={(to) => rename(word.name, to)}>
        <span class="text-[0.9rem] text-soft">
          {about === 'TASK' ? `${count(word.people)} to do` : people(word.people)}
        </span>
        {#if about === 'STATUS'}
          <label class="flex min-h-6 items-center gap-1.5 text-[0.9rem]">
            <input
              type="checkbox"
              class="text-kelp"
              aria-label={`${word.name} are current members`}
              checked={word.counts}
              disabled={!mayChange}
              onchange={(event) => setCounts(word.name, event.currentTarget.checked)}
            />
            current
          </label>
        {/if}
        {#if about === 'OFFICE'}
          <GroupOf
            office={word.name}
            group={word.group}
            groups={query.data?.groups.map((g) => g.name) ?? []}
            {mayChange}
            onchange={(to) => group(word.name, to)}
          />
        {/if}
        <GivenUp
          name={word.name}
          retired={word.retired}
          {mayChange}
          onretire={(retired) => retire(word.name, retired)}
        />
        {#if mayChange}
          {#if at > 0}
            <button
              type="button"
              class={quiet}
              aria-label={`Move ${word.name} up`}
              onclick={() => up(at)}>Up</button
            >
          {:else}
            <span class="invisible" aria-hidden="true">Up</span>
          {/if}
        {/if}
      </WordLine>
    {:else}
      {#if query.isSuccess}<li class="py-1 text-soft">None yet.</li>{/if}
    {/each}
  </ul>
  {#if mayChange}<AddWord words={said.another} onadd={add} />{/if}
</section>
