<script lang="ts">
  import Ask from '$lib/ui/Ask.svelte';
  import Act from '$lib/ui/Act.svelte';
  import type { Editor } from '@tiptap/core';
  import { Input } from 'flowbite-svelte';
  import { isAddress } from './createEditor';

  interface Props {
    editor: Editor;
    /** Counts up with every change, so that the buttons follow the cursor. */
    changes: number;
    onmerge: () => void;
  }

  let { editor, changes, onmerge }: Props = $props();
  let linking = $state(false);
  let address = $state('');
  const wrong = $derived(address !== '' && !isAddress(address));

  const marks = $derived.by(() => {
    void changes;
    return [
      mark('Bold', 'B', 'font-bold', editor.isActive('bold'), () =>
        editor.chain().focus().toggleBold()
      ),
      mark('Italic', 'I', 'italic', editor.isActive('italic'), () =>
        editor.chain().focus().toggleItalic()
      ),
      mark('Underlined', 'U', 'underline', editor.isActive('underline'), () =>
        editor.chain().focus().toggleUnderline()
      ),
      mark('Heading', 'Heading', '', editor.isActive('heading'), () =>
        editor.chain().focus().toggleHeading({ level: 2 })
      ),
      mark('List', 'List', '', editor.isActive('bulletList'), () =>
        editor.chain().focus().toggleBulletList()
      ),
      mark('Numbered list', '1. 2.', '', editor.isActive('orderedList'), () =>
        editor.chain().focus().toggleOrderedList()
      )
    ];
  });

  function mark(
    name: string,
    face: string,
    look: string,
    on: boolean,
    act: () => { run: () => boolean }
  ) {
    return { name, face, look, on, run: () => act().run() };
  }

  function openLink() {
    address = (editor.getAttributes('link').href as string | undefined) ?? '';
    linking = true;
  }

  function setLink(event: SubmitEvent) {
    event.preventDefault();
    if (wrong) return;
    const chain = editor.chain().focus().extendMarkRange('link');
    if (address === '') chain.unsetLink().run();
    else if (editor.state.selection.empty && !editor.isActive('link')) {
      const mark = { type: 'link', attrs: { href: address } };
      editor
        .chain()
        .focus()
        .insertContent({ type: 'text', text: address, marks: [mark] })
        .run();
    } else chain.setLink({ href: address }).run();
    linking = false;
  }
</script>

<div
  class="flex min-h-[34px] flex-wrap items-center gap-1 border-b border-line px-2.5 text-soft"
  role="toolbar"
  aria-label="Looks of the text"
>
  {#each marks as m (m.name)}
    <button
      type="button"
      class={`rounded px-2 py-0.5 hover:bg-shade ${m.look} ${m.on ? 'bg-kelp-pale text-ink' : ''}`}
      aria-label={m.name}
      aria-pressed={m.on}
      onclick={m.run}>{m.face}</button
    >
  {/each}
  <button type="button" class="rounded px-2 py-0.5 hover:bg-shade" onclick={openLink}>Link</button>
  <button
    type="button"
    class="ms-auto rounded px-2 py-0.5 font-semibold text-madder hover:bg-shade"
    onclick={onmerge}
    >+ Merge field <kbd class="rounded border border-current px-1 text-[0.7rem]" aria-hidden="true"
      >{'{'}</kbd
    ></button
  >
</div>

<Ask bind:open={linking} title="Link">
  <form id="link" onsubmit={setLink}>
    <Input
      bind:value={address}
      placeholder="https://"
      aria-label="Where it leads"
      aria-invalid={wrong ? 'true' : undefined}
      data-autofocus
    />
    {#if wrong}
      <p class="mt-1 text-brick">
        A link begins with https://, mailto: or tel:, or is a merge field.
      </p>
    {:else}
      <p class="mt-1 text-soft">Empty takes the link off.</p>
    {/if}
  </form>
  {#snippet actions()}
    <Act onclick={() => (linking = false)}>Not now</Act>
    <Act look="main" type="submit" form="link">Set the link</Act>
  {/snippet}
</Ask>
