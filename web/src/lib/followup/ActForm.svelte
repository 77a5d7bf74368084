<script lang="ts">
  import { fieldsQuery } from '$lib/api/queries';
  import type { FollowRuleBody, RuleAct } from '$lib/api/types';
  import ValueInput from '$lib/field/ValueInput.svelte';
  import SeriesSelect from '$lib/series/SeriesSelect.svelte';
  import ColleagueSelect from '$lib/session/ColleagueSelect.svelte';
  import { createQuery } from '@tanstack/svelte-query';
  import { Input, Select } from 'flowbite-svelte';
  import { taskKinds } from '$lib/task/kinds';
  import { ACTS, blankAct } from './rules';
  import SendForm from './SendForm.svelte';
  import WaysWords from '$lib/ways/WaysWords.svelte';

  interface Props {
    rule: FollowRuleBody;
    onchange: (part: Partial<FollowRuleBody>) => void;
  }

  let { rule, onchange }: Props = $props();

  const fields = createQuery(fieldsQuery);
  const act = $derived(rule.act);
  const choices = $derived(ACTS.filter((a) => rule.whom !== null || a.value !== 'SEND'));
  const settable = $derived(
    (fields.data?.filter ?? []).filter(
      (f) => f.editable && !['number', 'email', 'tags'].includes(f.name)
    )
  );
  /** The one that stands there is there, though it was given up. */
  const kinds = $derived(
    [...new Set([...taskKinds(fields.data?.related), act.taskKind ?? ''])].filter(Boolean)
  );
  const field = $derived(settable.find((f) => f.name === act.field));

  function set(part: Partial<RuleAct>) {
    onchange({ act: { ...act, ...part } });
  }
</script>

<label class="flex items-center gap-2">
  <span aria-hidden="true" class="text-soft">→</span>
  <span class="sr-only">What is done</span>
  <select
    class="h-8 max-w-full rounded-md border-line bg-card py-0 ps-1.5 pe-7"
    value={act.kind}
    onchange={(event) => onchange({ act: blankAct(event.currentTarget.value as RuleAct['kind']) })}
  >
    {#each choices as choice (choice.value)}
      <option value={choice.value}>{choice.name}</option>
    {/each}
  </select>
</label>

{#if act.kind === 'SEND'}
  <SendForm body={rule.body ?? ''} onchange={(body) => onchange({ body })} />
  <WaysWords
    ways={rule.ways}
    subject=""
    body={rule.body ?? ''}
    onchange={(ways) => onchange({ ways })}
  />
{:else if act.kind === 'TASK'}
  <div class="grid grid-cols-[9rem_minmax(0,1fr)] gap-3 max-sm:grid-cols-1">
    <label class="flex flex-col gap-1">
      Kind
      <Select
        placeholder=""
        items={kinds.map((k) => ({ value: k, name: k }))}
        value={act.taskKind || (kinds[0] ?? '')}
        onchange={(event) => set({ taskKind: event.currentTarget.value })}
      />
    </label>
    <label class="flex flex-col gap-1">
      What is to be done
      <Input
        bind:value={() => act.title ?? '', (title) => set({ title })}
        maxlength={200}
        required
        autocomplete="off"
      />
    </label>
    <label class="flex flex-col gap-1">
      Due, working days
      <Input
        type="number"
        min="0"
        max="1000"
        bind:value={
          () => act.dueDays ?? undefined,
          (days) => set({ dueDays: typeof days === 'number' ? days : null })
        }
      />
    </label>
    <label class="flex flex-col gap-1">
      Whose it is
      <ColleagueSelect
        bind:value={() => act.owner ?? '', (owner) => set({ owner: owner || null })}
        none="the owner of each person, else the sender"
      />
    </label>
  </div>
{:else if act.kind === 'TAG'}
  <label class="flex flex-col gap-1">
    Tag
    <Input
      bind:value={() => act.tag ?? '', (tag) => set({ tag })}
      maxlength={60}
      required
      autocomplete="off"
    />
  </label>
{:else if act.kind === 'SERIES'}
  <label class="flex flex-col gap-1">
    Series
    <SeriesSelect value={act.series ?? 0} onchange={(series) => set({ series: series || null })} />
  </label>
{:else if act.kind === 'SET'}
  <div class="grid grid-cols-2 gap-3">
    <label class="flex flex-col gap-1">
      Field
      <Select
        placeholder=""
        items={settable.map((f) => ({ value: f.name, name: f.label }))}
        value={act.field ?? ''}
        onchange={(event) => set({ field: event.currentTarget.value, value: '' })}
      />
    </label>
    {#if field}
      <label class="flex flex-col gap-1">
        Value
        <ValueInput {field} value={act.value ?? ''} onchange={(value) => set({ value })} />
      </label>
    {/if}
  </div>
{/if}
