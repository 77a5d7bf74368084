<script lang="ts">
  import Popup from '$lib/ui/Popup.svelte';
  import type { Editor } from '@tiptap/core';
  import InsertMenu from './InsertMenu.svelte';
  import LinkDialog from './LinkDialog.svelte';
  import { aligns, colours, headings, sizes } from './looks';

  interface Props {
    editor: Editor;
    /** Counts up with every change, so that the buttons follow the cursor. */
    changes: number;
    /** Whether only a few looks are offered beside; the others are under “More”. */
    compact: boolean;
    /** Whether the text form is shown instead. */
    source: boolean;
    onsource: () => void;
    onmerge: () => void;
    onpassage: () => void;
    onpicture: () => void;
  }

  let { editor, changes, compact, source, onsource, onmerge, onpassage, onpicture }: Props =
    $props();
  let linking = $state<'link' | 'button' | null>(null);
  let more = $state(false);

  const chain = () => editor.chain().focus();
  const marks = $derived.by(() => {
    void changes;
    return [
      mark('Bold', 'B', 'font-bold', editor.isActive('bold'), () => chain().toggleBold().run()),
      mark('Italic', 'I', 'italic', editor.isActive('italic'), () => chain().toggleItalic().run()),
      mark('Underlined', 'U', 'underline', editor.isActive('underline'), () =>
        chain().toggleUnderline().run()
      ),
      ...(compact ? [] : lists())
    ];
  });
  const heading = $derived.by(() => {
    void changes;
    return (
      headings.find((h) => h.level && editor.isActive('heading', { level: h.level }))?.level ?? 0
    );
  });
  const align = $derived.by(() => {
    void changes;
    return aligns.find((a) => editor.isActive({ textAlign: a.value }))?.value ?? 'left';
  });

  function mark(name: string, face: string, look: string, on: boolean, run: () => boolean) {
    return { name, face, look, on, run };
  }

  function lists() {
    return [
      mark('List', 'List', '', editor.isActive('bulletList'), () =>
        chain().toggleBulletList().run()
      ),
      mark('Numbered list', '1.', '', editor.isActive('orderedList'), () =>
        chain().toggleOrderedList().run()
      )
    ];
  }

  function setHeading(level: number) {
    if (level === 0) chain().setParagraph().run();
    else
      chain()
        .setHeading({ level: level as 1 | 2 | 3 })
        .run();
  }

  const plain =
    'min-h-[26px] min-w-[24px] rounded px-0.5 py-0.5 hover:bg-shade @xl:min-w-[26px] @xl:px-1.5';
  const select =
    'rounded border-transparent bg-transparent py-0.5 ps-1 pe-5 text-[0.93em] @xl:ps-1.5 @xl:pe-6 @xl:text-[1em] text-soft hover:bg-shade';
</script>

<div
  class="@container flex min-h-[34px] flex-wrap items-center gap-x-0.5 gap-y-1 border-b border-line px-2 py-0.5 text-soft @xl:px-2.5"
  role="toolbar"
  aria-label="Looks of the text"
>
  {#if !source}
    {#each marks as m (m.name)}
      <button
        type="button"
        class={`${plain} ${m.look} ${m.on ? 'bg-kelp-pale text-ink' : ''}`}
        aria-label={m.name}
        aria-pressed={m.on}
        onclick={m.run}>{m.face}</button
      >
    {/each}
    {#if !compact}
      <select
        class={`${select} w-26 @xl:w-29`}
        aria-label="Kind of paragraph"
        value={heading}
        onchange={(e) => setHeading(Number(e.currentTarget.value))}
      >
        {#each headings as h (h.level)}<option value={h.level}>{h.name}</option>{/each}
      </select>
    {/if}
    <button type="button" class={plain} onclick={() => (linking = 'link')}>Link</button>
    <button type="button" class={plain} onclick={onpicture}>Picture</button>
    <Popup bind:open={more} label="More looks">
      {#snippet trigger(toggle)}
        <button type="button" class={plain} aria-expanded={more} onclick={toggle}>More</button>
      {/snippet}
      <div class="flex w-80 max-w-full flex-col gap-2.5">
        <div class="flex items-center gap-2">
          <span class="w-14 text-soft">Colour</span>
          {#each colours as colour (colour.value)}
            <button
              type="button"
              class="size-6 rounded-full border border-line"
              style:background={colour.value || 'var(--ink)'}
              aria-label={colour.name}
              title={colour.name}
              onclick={() =>
                colour.value ? chain().setColor(colour.value).run() : chain().unsetColor().run()}
            ></button>
          {/each}
        </div>
        <label class="flex items-center gap-2">
          <span class="w-14 text-soft">Size</span>
          <select
            class={`${select} border-line bg-card`}
            onchange={(e) =>
              e.currentTarget.value
                ? chain().setFontSize(e.currentTarget.value).run()
                : chain().unsetFontSize().run()}
          >
            {#each sizes as s (s.value)}<option value={s.value}>{s.name}</option>{/each}
          </select>
        </label>
        <div class="flex items-center gap-1">
          <span class="w-14 text-soft">Lines</span>
          {#each aligns as a (a.value)}
            <button
              type="button"
              class={`${plain} ${align === a.value ? 'bg-kelp-pale text-ink' : ''}`}
              aria-pressed={align === a.value}
              onclick={() => chain().setTextAlign(a.value).run()}>{a.name}</button
            >
          {/each}
        </div>
        <InsertMenu
          {editor}
          {changes}
          onbutton={() => ((more = false), (linking = 'button'))}
          onpassage={() => ((more = false), onpassage())}
          ondone={() => (more = false)}
        />
        <button
          type="button"
          class="border-t border-line-soft pt-2 text-left hover:underline"
          onclick={() => ((more = false), onsource())}>Show the text form</button
        >
      </div>
    </Popup>
  {/if}
  {#if source}
    <p class="flex-1">The text form: what is written, with its marks.</p>
    <button type="button" class="font-semibold text-kelp hover:underline" onclick={onsource}
      >Back to the letter</button
    >
  {:else}
    <button
      type="button"
      class="ms-auto rounded px-1 py-0.5 font-semibold whitespace-nowrap text-madder hover:bg-shade"
      onclick={onmerge}
      >+ Merge field <kbd
        class="hidden rounded border border-current px-1 text-[0.7rem] @xl:inline"
        aria-hidden="true">{'{'}</kbd
      ></button
    >
  {/if}
</div>
<LinkDialog {editor} bind:kind={linking} />
