<script lang="ts">
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import { wordsOf } from '$lib/format/wordsOf';
  import { differences } from './differences';

  interface Props {
    open: boolean;
    title: string;
    /** What is compared: each with a name over it. */
    before: { name: string; subject: string; body: string };
    after: { name: string; subject: string; body: string };
    /** Whether the bodies are words alone, not HTML. */
    plain?: boolean;
  }

  let { open = $bindable(), title, before, after, plain = false }: Props = $props();
  const subject = $derived(differences(before.subject, after.subject));
  const words = $derived(plain ? (body: string) => body : wordsOf);
  const body = $derived(differences(words(before.body), words(after.body)));
  const parts = $derived([subject, body].filter((one) => one.length));
</script>

<Ask bind:open {title} wide>
  <p class="mb-3 text-soft">
    <span class="bg-brick-pale text-brick line-through">Struck</span> stands in {before.name} alone,
    <span class="bg-kelp-pale text-kelp">marked</span> in {after.name} alone.
  </p>
  {#each parts as changes, i (i)}
    <p
      class={`whitespace-pre-wrap ${i === 0 && parts.length > 1 ? 'mb-2 border-b border-line-soft pb-2 font-semibold' : ''}`}
    >
      {#each changes as part, n (n)}<span
          class={part.removed
            ? 'bg-brick-pale text-brick line-through'
            : part.added
              ? 'bg-kelp-pale text-kelp'
              : ''}>{part.value}</span
        >{/each}
    </p>
  {/each}
  {#snippet actions()}
    <HouseButton onclick={() => (open = false)} first>Close</HouseButton>
  {/snippet}
</Ask>
