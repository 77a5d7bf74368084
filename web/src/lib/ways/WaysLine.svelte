<script lang="ts">
  import type { CheckResult } from '$lib/api/types';
  import type { Writing } from '$lib/draft/writing.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import { proposed, type Channel } from './ways';
  import WaysChoice from './WaysChoice.svelte';

  interface Props {
    writing: Writing;
    check: CheckResult | undefined;
    editable: boolean;
  }

  let { writing, check, editable }: Props = $props();

  function go(ways: Channel[], added: Channel | null, words: string) {
    const before = writing.ways;
    Object.assign(writing, proposed(added, writing, writing.subject, writing.body));
    writing.set('ways', ways);
    notices.say(words, () => writing.set('ways', before));
  }
</script>

<WaysChoice
  class="min-h-[33px] flex-none border-b border-line px-3.5 py-1"
  ways={writing.ways}
  {editable}
  reached={(way) => check?.ways.find((w) => w.channel === way)?.people}
  onchange={go}
/>
