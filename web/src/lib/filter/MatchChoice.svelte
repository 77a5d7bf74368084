<script lang="ts">
  import type { Filter } from '$lib/api/types';

  interface Props {
    match: Filter['match'];
    words: string;
    onchoose: (match: Filter['match']) => void;
  }

  let { match, words, onchoose }: Props = $props();

  const next = { ALL: 'ANY', ANY: 'NONE', NONE: 'ALL' } as const;
  const titles = {
    ALL: 'All must hold. Press for “or”.',
    ANY: 'One is enough. Press for “none of”.',
    NONE: 'None may hold. Press for “and”.'
  };
</script>

<button
  type="button"
  class="min-h-6 rounded px-1 hover:bg-shade"
  title={titles[match]}
  aria-label={`${words}: ${titles[match]}`}
  onclick={() => onchoose(next[match])}>{words}</button
>
