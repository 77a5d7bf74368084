<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import type { Filter, SendPlan } from '$lib/api/types';
  import { fieldsQuery } from '$lib/api/queries';
  import { partChoices } from '$lib/audience/partChoices.svelte';
  import { everyone, fromFilter, toFilter, type FilterDraft } from '$lib/filter/draft';
  import TypedBox from '$lib/filter/TypedBox.svelte';
  import { people } from '$lib/format/numbers';
  import { takeAll, toBody } from '$lib/list/selection';
  import Ask from '$lib/ui/Ask.svelte';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import HowTheyComeIn from './HowTheyComeIn.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { Select } from 'flowbite-svelte';

  interface Props {
    open: boolean;
    series: number;
    /** Lets in whoever a filter picks now, at once or by a plan. */
    onletin: (filter: Filter, plan: SendPlan | null) => Promise<boolean>;
  }

  let { open = $bindable(), series, onletin }: Props = $props();

  const fields = createQuery(fieldsQuery);
  const choices = partChoices(() => open);
  let draft = $state.raw<FilterDraft>(everyone);
  let chosen = $state('');
  let plan = $state.raw<SendPlan | null>(null);
  let busy = $state(false);

  const filter = $derived(toFilter(draft, fields.data?.filter ?? [], fields.data?.related ?? []));
  const says = $derived(draft !== everyone);
  const tally = createQuery(() => ({
    queryKey: ['people-tally', 'series', filter],
    queryFn: () => answer(api.POST('/api/people/tally', { body: toBody(takeAll(), filter) })),
    enabled: open && says && fields.isSuccess
  }));

  function choose(name: string) {
    chosen = name;
    const found = choices.all.find((choice) => choice.name === name);
    draft = found ? fromFilter(found.filter) : everyone;
  }

  async function letIn() {
    busy = true;
    if (await onletin(filter, plan)) open = false;
    busy = false;
  }
</script>

<Ask bind:open title="Let people in">
  <div class="flex flex-col gap-3">
    <label class="flex flex-col gap-1">
      A kept filter or list
      <Select
        placeholder=""
        items={[
          { value: '', name: 'none: type below' },
          ...choices.all.map((choice) => ({ value: choice.name, name: choice.name }))
        ]}
        bind:value={() => chosen, choose}
      />
    </label>
    <div class="flex flex-col gap-1">
      <span>or type whom you seek</span>
      <TypedBox
        subject="people"
        {draft}
        onchange={(changed) => ((draft = changed), (chosen = ''))}
      />
    </div>
    <p role="status">
      {#if !says}
        Nobody is chosen yet.
      {:else if tally.data}
        <strong>{people(tally.data.total)}</strong>: {tally.data.sentence}. Whoever is in the
        series, or was, does not come in again.
      {:else}
        Counting…
      {/if}
    </p>
    <HowTheyComeIn
      {series}
      {filter}
      known={open && says && !!tally.data?.total}
      {plan}
      onplan={(wanted) => (plan = wanted)}
    />
  </div>
  {#snippet actions()}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    <HouseButton
      weight="main"
      disabled={busy || !says || !tally.data?.total}
      onclick={() => void letIn()}
      >{tally.data && says ? `Let ${people(tally.data.total)} in` : 'Let them in'}</HouseButton
    >
  {/snippet}
</Ask>
