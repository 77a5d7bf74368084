<script lang="ts">
  import { fromSource, toSource } from './source';

  interface Props {
    value: string;
    label: string;
    onchange: (value: string) => void;
  }

  let { value, label, onchange }: Props = $props();
  // Broken into lines once; afterwards the lines are the writer's.
  // svelte-ignore state_referenced_locally
  let written = $state(toSource(value));
</script>

<textarea
  class="min-h-0 flex-1 resize-none border-0 bg-card px-4 py-3 font-mono text-[0.87rem] leading-6 focus:ring-0"
  aria-label={`${label}, text form`}
  spellcheck="false"
  bind:value={written}
  oninput={() => onchange(fromSource(written))}
></textarea>
