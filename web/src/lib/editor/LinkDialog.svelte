<script lang="ts">
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import type { Editor } from '@tiptap/core';
  import { Input, Label } from 'flowbite-svelte';
  import { isAddress } from './createEditor';

  interface Props {
    editor: Editor;
    /** Which is asked for; null when nothing is. */
    kind: 'link' | 'button' | null;
  }

  let { editor, kind = $bindable() }: Props = $props();
  let address = $state('');
  let words = $state('');
  const wrong = $derived(address !== '' && !isAddress(address));
  const bare = $derived(kind !== null && editor.state.selection.empty && !editor.isActive('link'));

  $effect(() => {
    if (!kind) return;
    address = (editor.getAttributes('link').href as string | undefined) ?? '';
    words = '';
  });

  function set(event: SubmitEvent) {
    event.preventDefault();
    if (wrong) return;
    const link = { href: address, class: kind === 'button' ? 'button' : null };
    const chain = editor.chain().focus().extendMarkRange('link');
    if (address === '') chain.unsetLink().run();
    else if (bare) {
      const text = words.trim() || (kind === 'button' ? 'Open the page' : address);
      const marks = [{ type: 'link', attrs: link }];
      editor.chain().focus().insertContent({ type: 'text', text, marks }).run();
    } else chain.setMark('link', link).run();
    kind = null;
  }
</script>

<Ask
  bind:open={() => kind !== null, (open) => (kind = open ? kind : null)}
  title={kind === 'button' ? 'Button' : 'Link'}
>
  <form id="link" onsubmit={set}>
    {#if bare}
      <Label for="link-words" class="mb-1">What it says</Label>
      <Input id="link-words" bind:value={words} class="mb-3" data-autofocus />
    {/if}
    <Label for="link-address" class="mb-1">Where it leads</Label>
    <Input
      id="link-address"
      bind:value={address}
      placeholder="https://"
      aria-invalid={wrong ? 'true' : undefined}
      data-autofocus={bare ? undefined : ''}
    />
    <p class={`mt-1 ${wrong ? 'text-brick' : 'text-soft'}`}>
      {wrong
        ? 'A link begins with https://, mailto: or tel:, or is a merge field.'
        : 'Merge fields may stand in it, as {{number}}. Empty takes the link off.'}
    </p>
  </form>
  {#snippet actions()}
    <HouseButton onclick={() => (kind = null)}>Not now</HouseButton>
    <HouseButton weight="main" type="submit" form="link">
      {kind === 'button' ? 'Make the button' : 'Set the link'}
    </HouseButton>
  {/snippet}
</Ask>
