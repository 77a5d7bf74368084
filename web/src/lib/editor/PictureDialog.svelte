<script lang="ts">
  import type { Picture } from '$lib/api/types';
  import HouseButton from '$lib/ui/HouseButton.svelte';
  import Ask from '$lib/ui/Ask.svelte';
  import { notices } from '$lib/ui/notices.svelte';
  import type { Editor } from '@tiptap/core';
  import { Input, Label } from 'flowbite-svelte';
  import { likelyText, pathOf, upload } from '$lib/picture/pictures';

  interface Props {
    editor: Editor;
    open: boolean;
    /** Pictures that were dropped or pasted; asked for one after another. */
    files: File[];
  }

  let { editor, open = $bindable(), files = $bindable() }: Props = $props();
  let picture = $state.raw<Picture | null>(null);
  let text = $state('');
  let busy = $state(false);
  let chooser = $state<HTMLInputElement>();

  // What was dropped waits for the one before it.
  $effect(() => {
    const next = files[0];
    if (next && !busy && !picture) void take(next);
  });

  async function take(file: File) {
    files = files.filter((f) => f !== file);
    busy = true;
    try {
      picture = await upload(file);
      text = likelyText(file.name);
      open = true;
    } catch (error) {
      notices.fail(error);
    } finally {
      busy = false;
    }
  }

  function put(event?: SubmitEvent) {
    event?.preventDefault();
    if (!picture) return;
    const width = Math.min(picture.width, 560);
    insert({ src: pathOf(picture.key), alt: text.trim(), width });
  }

  function insert(attrs: object) {
    editor.chain().focus().insertContent({ type: 'image', attrs }).run();
    picture = null;
    open = false;
  }
</script>

<Ask bind:open title="Picture">
  {#if picture}
    <form id="picture" onsubmit={put}>
      <img src={pathOf(picture.key)} alt="" class="mb-3 max-h-56 rounded border border-line" />
      <Label for="picture-text" class="mb-1">What it shows, for those who do not see it</Label>
      <Input id="picture-text" bind:value={text} data-autofocus />
    </form>
  {:else}
    <p class="mb-3 text-soft">
      Choose a file, or drop or paste one into the message. It is made small enough for mail.
    </p>
    <input
      type="file"
      accept="image/png,image/jpeg,image/gif"
      aria-label="Picture file"
      class="mb-4 block w-full"
      bind:this={chooser}
      disabled={busy}
      onchange={() => chooser?.files?.[0] && take(chooser.files[0])}
    />
    <div class="flex flex-wrap gap-2 border-t border-line-soft pt-3">
      <HouseButton onclick={() => insert({ src: '{{picture}}', alt: '{{name}}', width: 120 })}>
        Each person’s own picture
      </HouseButton>
      <HouseButton
        onclick={() => insert({ src: '{{sender.picture}}', alt: '{{sender.name}}', width: 96 })}
      >
        The sender’s picture
      </HouseButton>
    </div>
  {/if}
  {#snippet actions()}
    <HouseButton onclick={() => ((open = false), (picture = null))}>Not now</HouseButton>
    {#if picture}<HouseButton weight="main" type="submit" form="picture">Insert it</HouseButton
      >{/if}
  {/snippet}
</Ask>
