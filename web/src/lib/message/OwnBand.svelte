<script lang="ts">
  import CompareDialog from './CompareDialog.svelte';
  import type { OwnWriting } from './own.svelte';

  interface Props {
    own: OwnWriting;
  }

  let { own }: Props = $props();
  const by = $derived({ EMAIL: '', TEXT: ', by text', APP: ', in the app', POST: '' }[own.channel]);
  let comparing = $state(false);
  const quiet = 'font-semibold text-kelp hover:underline';
</script>

{#if own.person}
  <div
    class="flex flex-wrap items-baseline gap-x-4 gap-y-1 bg-kelp-pale px-3.5 py-1.5"
    role="status"
  >
    <span class="flex-1"><strong>For {own.person.name} alone{by}.</strong></span>
    <button type="button" class={quiet} onclick={() => (comparing = true)}>Compare</button>
    <button
      type="button"
      class={quiet}
      onclick={() => own.person && own.drop(own.person.id, own.person.name)}
      >Go back to the shared text</button
    >
    <button type="button" class={quiet} onclick={() => own.close()}>Done</button>
  </div>
  <CompareDialog
    bind:open={comparing}
    plain={own.channel !== 'EMAIL'}
    title={`The shared text and ${own.person.name}’s`}
    before={{ name: 'the shared text', ...own.shared }}
    after={{ name: `${own.person.name}’s`, subject: own.subject, body: own.body }}
  />
{/if}
