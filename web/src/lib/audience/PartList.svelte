<script lang="ts">
  import type { ShownPart } from '$lib/api/types';

  interface Props {
    parts: ShownPart[];
    onremove: (part: ShownPart) => void;
  }

  let { parts, onremove }: Props = $props();
</script>

<ul>
  {#each parts as part, i (i)}
    <li class="flex justify-between gap-3 border-b border-line-soft py-1.5">
      <span class={part.name ? 'font-semibold' : ''}>{part.words}</span>
      <button
        type="button"
        class="whitespace-nowrap text-brick hover:underline"
        aria-label={`Remove: ${part.words}`}
        onclick={() => onremove(part)}>remove</button
      >
    </li>
  {/each}
</ul>
