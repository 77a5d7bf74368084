<script lang="ts">
  import { answer, api } from '$lib/api/client';
  import { rulesQuery } from '$lib/api/queries';
  import type { FollowRule, FollowRuleBody } from '$lib/api/types';
  import { dayAndTime } from '$lib/format/dates';
  import { session } from '$lib/session/session.svelte';
  import { count } from '$lib/format/numbers';
  import FoldLine from '$lib/ui/FoldLine.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import RuleDialog from './RuleDialog.svelte';
  import RuleLine from './RuleLine.svelte';
  import { blankRule, bodyOf, thenWords, withoutRule, withRule } from './rules';

  interface Props {
    mailingId: number;
    /** What the message says, to be sent once more. */
    body: string;
    /** Counts up when something changed that the outlook depends on. */
    since?: number;
    editable: boolean;
    released: boolean;
  }

  let { mailingId, body: words, since = 0, editable, released }: Props = $props();

  const queries = useQueryClient();
  const rules = createQuery(() => rulesQuery(mailingId, since));
  const all = $derived(rules.data ?? []);
  let editing = $state.raw<FollowRuleBody | null>(null);
  const sentences = $derived(thenWords(all));
  const next = $derived(all.find((rule) => !rule.stopped && rule.will));
  const edited = $derived(all.find((r) => r.id === editing?.id));

  /** Says why when the server would not. */
  async function act(what: () => Promise<unknown>): Promise<boolean> {
    try {
      await what();
      await queries.invalidateQueries({ queryKey: ['rules', mailingId] });
      editing = null;
      return true;
    } catch (error) {
      notices.fail(error);
      return false;
    }
  }

  const path = $derived({ mailing: mailingId });

  /** Rules that somebody added since these were seen stay. */
  function put(body: FollowRuleBody[]) {
    const query = { newest: Math.max(0, ...all.map((rule) => rule.id)) };
    const params = { path, query };
    return act(() => answer(api.PUT('/api/mailings/{mailing}/rules', { params, body })));
  }

  async function takeAway(rule: FollowRule) {
    const before = all.map(bodyOf);
    if (await put(withoutRule(all, rule))) {
      notices.say(
        `Rule ${rule.place} is deleted.`,
        () => void put(before.map((b) => (b.id === rule.id ? { ...b, id: null } : b)))
      );
    }
  }

  function turn(rule: FollowRule) {
    const params = { path: { mailing: mailingId, rule: rule.id } };
    return act(() =>
      rule.stopped
        ? answer(api.POST('/api/mailings/{mailing}/rules/{rule}/go-on', { params }))
        : answer(api.POST('/api/mailings/{mailing}/rules/{rule}/stop', { params }))
    );
  }
</script>

<FoldLine name="then" title="Then">
  {#snippet sentence()}
    <p class="truncate" title={sentences}>
      {sentences || 'nothing afterwards'}
      {#if next}
        <span class="text-soft"
          >· {count(next.will ?? 0)} to come{#if next.first}, from {dayAndTime(
              next.first,
              session.zone
            )}{/if}</span
        >
      {/if}
    </p>
  {/snippet}
  {#snippet aside()}
    {#if editable && rules.isSuccess && all.length === 0 && words.trim()}
      <button
        type="button"
        class="min-h-[26px] flex-none text-kelp hover:underline max-md:hidden"
        onclick={() => put([blankRule([], words)])}
        >Send it again after 4 working days without a reply</button
      >
    {/if}
    {#if editable}
      <button
        type="button"
        class="min-h-[26px] flex-none font-semibold text-kelp hover:underline"
        onclick={() => (editing = blankRule(all))}>Add a rule</button
      >
    {/if}
  {/snippet}
  {#if all.length}
    <ol class="flex flex-col gap-2 text-[0.92rem]">
      {#each all as rule (rule.id)}
        <RuleLine {mailingId} {rule} {editable} onedit={() => (editing = bodyOf(rule))} />
      {/each}
    </ol>
  {:else if rules.isSuccess}
    <p class="text-[0.92rem] text-soft">
      Nothing happens by itself yet. A rule can write once more to those who stay quiet, or make a
      task of it.
    </p>
  {/if}
</FoldLine>
{#if editing}
  <RuleDialog
    bind:open={() => editing !== null, (is) => (editing = is ? editing : null)}
    rules={all}
    start={editing}
    {released}
    {edited}
    onsave={(rule) => put(withRule(all, rule))}
    ontakeaway={takeAway}
    onturn={turn}
  />
{/if}
