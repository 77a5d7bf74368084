<script lang="ts">
  import type { FollowRule, FollowRuleBody } from '$lib/api/types';
  import { SIGNS, turned, UNITS, WHOM } from './rules';

  interface Props {
    rule: FollowRuleBody;
    /** The rules from whose act this one can wait. */
    earlier: FollowRule[];
    onchange: (rule: FollowRuleBody) => void;
  }

  let { rule, earlier, onchange }: Props = $props();

  const control = 'h-8 rounded-md border-line bg-card px-1.5 py-0';
  const choice = `${control} pe-7 max-w-full`;

  function set(part: Partial<FollowRuleBody>) {
    onchange({ ...rule, ...part });
  }

  const value = (event: { currentTarget: HTMLSelectElement | HTMLInputElement }) =>
    event.currentTarget.value;
</script>

<div class="flex flex-wrap items-center gap-1.5">
  <select
    class={choice}
    aria-label="When"
    value={rule.whom === null ? 'at-once' : 'wait'}
    onchange={(event) => onchange(turned(rule, value(event) === 'at-once'))}
  >
    <option value="wait">Whoever</option>
    <option value="at-once">As soon as somebody</option>
  </select>
  {#if rule.whom === null}
    <select
      class={choice}
      aria-label="Does what"
      value={rule.on}
      onchange={(event) => set({ on: value(event) as FollowRuleBody['on'] })}
    >
      {#each SIGNS as sign (sign.value)}<option value={sign.value}>{sign.name}</option>{/each}
    </select>
  {:else}
    <select
      class={choice}
      aria-label="Who is meant"
      value={rule.whom}
      onchange={(event) => set({ whom: value(event) as FollowRuleBody['whom'] })}
    >
      {#each WHOM as whom (whom.value)}<option value={whom.value}>{whom.name}</option>{/each}
    </select>
    <input
      type="number"
      min="1"
      max="1000"
      required
      class={`${control} w-16`}
      aria-label="How long to wait"
      value={rule.waitCount}
      oninput={(event) => set({ waitCount: Math.floor(Number(value(event))) || null })}
    />
    <select
      class={choice}
      aria-label="Unit"
      value={rule.waitUnit}
      onchange={(event) => set({ waitUnit: value(event) as FollowRuleBody['waitUnit'] })}
    >
      {#each UNITS as unit (unit.value)}<option value={unit.value}>{unit.name}</option>{/each}
    </select>
    <select
      class={choice}
      aria-label="From when on"
      value={String(rule.after ?? '')}
      onchange={(event) => set({ after: value(event) ? Number(value(event)) : null })}
    >
      <option value="">after their message left</option>
      {#each earlier as before (before.id)}
        <option value={String(before.place)}>after what rule {before.place} did for them</option>
      {/each}
    </select>
  {/if}
</div>
