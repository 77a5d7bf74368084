<script lang="ts">
  import type { FollowRule, FollowRuleBody } from '$lib/api/types';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import ActForm from './ActForm.svelte';
  import ExceptForm from './ExceptForm.svelte';
  import { mayFollow } from './rules';
  import WhenForm from './WhenForm.svelte';

  interface Props {
    open: boolean;
    rules: FollowRule[];
    /** The rule as the dialog begins with it. */
    start: FollowRuleBody;
    /** Whether the mailing is out: then rules are stopped, not only taken away. */
    released: boolean;
    /** The same as the server has it; undefined for a new one. */
    edited: FollowRule | undefined;
    onsave: (rule: FollowRuleBody) => void;
    ontakeaway: (rule: FollowRule) => void;
    onturn: (rule: FollowRule) => void;
  }

  let {
    open = $bindable(),
    rules,
    start,
    released,
    edited,
    onsave,
    ontakeaway,
    onturn
  }: Props = $props();

  // What is written here is the dialog's own until it is saved.
  // svelte-ignore state_referenced_locally
  let rule = $state.raw<FollowRuleBody>(start);
  const acted = $derived(edited !== undefined && edited.done + edited.not > 0);

  function set(part: Partial<FollowRuleBody>) {
    rule = { ...rule, ...part };
  }
</script>

<Ask bind:open title={edited ? `Rule ${edited.place}` : 'A rule for after it is out'} wide>
  <form
    id="follow-rule"
    class="flex flex-col gap-3"
    onsubmit={(event) => {
      event.preventDefault();
      onsave(rule);
    }}
  >
    <WhenForm {rule} earlier={mayFollow(rules, rule.id)} onchange={(changed) => (rule = changed)} />
    <ActForm {rule} onchange={set} />
    <ExceptForm except={rule.except} words={edited?.except ?? []} onchange={set} />
    <p class="text-[0.87rem] text-soft">
      Whoever replied, left the list or could not be reached is never written to again; who is away
      is waited for.
    </p>
  </form>
  {#snippet actions()}
    {#if edited && !acted}
      <HouseButton weight="grave" onclick={() => ontakeaway(edited)}>Delete the rule</HouseButton>
    {/if}
    {#if edited && released}
      <HouseButton onclick={() => onturn(edited)}
        >{edited.stopped ? 'Start the rule again' : 'Stop the rule'}</HouseButton
      >
    {/if}
    <HouseButton weight="quiet" onclick={() => (open = false)}>Not now</HouseButton>
    <HouseButton weight="main" type="submit" form="follow-rule"
      >{edited ? 'Save the rule' : 'Add the rule'}</HouseButton
    >
  {/snippet}
</Ask>
