<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { TopicsAndPlans } from '$lib/api/types';
  import { people } from '$lib/format/numbers';
  import { notices } from '$lib/ui/notices.svelte';
  import AddWord from './AddWord.svelte';
  import GivenUp from './GivenUp.svelte';
  import { movedUp, WordOrder } from './order.svelte';
  import WordLine from './WordLine.svelte';

  interface Props {
    plans: TopicsAndPlans['plans'];
    mayChange: boolean;
    onchanged: (now: TopicsAndPlans) => void;
  }

  let { plans, mayChange, onchanged }: Props = $props();
  const order = new WordOrder();
  const shown = $derived(order.of(plans));
  const quiet = 'min-h-6 min-w-6 text-kelp hover:underline';

  const add = async (name: string) =>
    onchanged(await answer(api.POST('/api/house/plans', { body: { name } })));

  async function rename(name: string, to: string) {
    onchanged(await answer(api.PUT('/api/house/plans/name', { body: { name, to } })));
    notices.say(`“${name}” is “${to.trim()}” now, for whoever has it and in every filter.`);
  }

  async function act(work: () => Promise<TopicsAndPlans>) {
    try {
      onchanged(await work());
    } catch (error) {
      notices.fail(error);
    }
  }

  const remove = (name: string) =>
    act(() => answer(api.POST('/api/house/plans/remove', { body: { name } })));

  const retire = (name: string, retired: boolean) =>
    act(() => answer(api.PUT('/api/house/plans/retired', { body: { name, retired } })));

  const sendOrder = async (names: string[]) =>
    onchanged(await answer(api.PUT('/api/house/plans', { body: { names } })));

  function up(at: number) {
    const names = movedUp(
      shown.map((plan) => plan.name),
      at
    );
    order.tell(names, sendOrder).catch((error: unknown) => notices.fail(error));
  }
</script>

<section class="panel flex flex-col gap-1 p-4" aria-label="Plans">
  <h2 class="text-[1rem]">Plans of members</h2>
  <p class="mb-1 text-[0.9rem] text-soft">In the order in which they are offered.</p>
  <ul>
    {#each shown as plan, at (plan.name)}
      <WordLine name={plan.name} {mayChange} crowded onrename={(to) => rename(plan.name, to)}>
        {#if plan.members || !mayChange}
          <span class="text-[0.9rem] text-soft">{people(plan.members)}</span>
        {:else}
          <button
            type="button"
            class={quiet}
            aria-label={`Remove ${plan.name}`}
            onclick={() => remove(plan.name)}>Remove</button
          >
        {/if}
        {#if plan.members || plan.retired}
          <GivenUp
            name={plan.name}
            retired={plan.retired}
            {mayChange}
            onretire={(retired) => retire(plan.name, retired)}
          />
        {/if}
        {#if mayChange && at === 0}
          <span class="invisible" aria-hidden="true">Up</span>
        {:else if mayChange}
          <button
            type="button"
            class={quiet}
            aria-label={`Move ${plan.name} up`}
            onclick={() => up(at)}>Up</button
          >
        {/if}
      </WordLine>
    {:else}
      <li class="py-1 text-soft">None yet. Whoever has a plan is a member.</li>
    {/each}
  </ul>
  {#if mayChange}<AddWord words="Another plan" onadd={add} />{/if}
</section>
