<script lang="ts">
  import type { MergeFieldName } from '$lib/api/types';
  import type { Editor } from '@tiptap/core';
  import { onDestroy, untrack } from 'svelte';
  import { createEditor } from './createEditor';
  import EditorBar from './EditorBar.svelte';
  import * as texts from './mergeText';
  import PickingForm from './PickingForm.svelte';
  import PictureDialog from './PictureDialog.svelte';
  import { placeBelow, type Hints, type Picking } from './picking';
  import SourceView from './SourceView.svelte';

  interface Props {
    /** The text form; a new value from outside replaces what is shown. */
    value: string;
    fields: MergeFieldName[];
    label: string;
    /** What fields show for somebody, and how many lack them. */
    hints?: Hints;
    singleLine?: boolean;
    /** Lines without looks, for a text message. */
    lines?: boolean;
    /** A few lines, with few looks. */
    compact?: boolean;
    readonly?: boolean;
    onchange: (value: string) => void;
    onenter?: () => void;
  }

  let {
    value,
    fields,
    label,
    hints = {},
    singleLine = false,
    lines = false,
    compact = false,
    readonly = false,
    onchange,
    onenter = () => {}
  }: Props = $props();

  let frame: HTMLDivElement;
  let editor = $state.raw<Editor | null>(null);
  let told = $state('');
  let changes = $state(0);
  let picking = $state.raw<Picking | null>(null);
  let source = $state(false);
  let picturing = $state(false);
  let files = $state.raw<File[]>([]);

  /** How the text form is read from the editor, and shown in it. */
  const [read, show] = $derived(
    singleLine
      ? [texts.subjectFromEditor, texts.subjectToEditor]
      : lines
        ? [texts.linesFromEditor, texts.linesToEditor]
        : [texts.fromEditor, texts.toEditor]
  );
  const labels = (name: string) =>
    fields.find((f) => f.name === name)?.label.toLowerCase() ?? name.replaceAll('_', ' ');

  function pick(
    kind: Picking['kind'],
    position: number | null,
    inside: string | null,
    at?: DOMRect
  ) {
    if (!editor || readonly) return;
    const rect = at ?? editor.view.coordsAtPos(editor.state.selection.from);
    picking = { kind, position, inside, ...placeBelow(rect, frame.getBoundingClientRect()) };
  }

  export function openPicker() {
    pick('field', null, null);
  }

  export function focus() {
    editor?.commands.setTextSelection(1);
    takeKeys();
  }

  /** At once: the editor's own focus command waits for a frame, and keys typed in it are lost. */
  function takeKeys() {
    editor?.view.focus();
  }

  /** Made once: what changes later comes in by the effects below. */
  function mount(element: HTMLDivElement) {
    untrack(() => make(element));
  }

  function make(element: HTMLDivElement) {
    told = value;
    editor = createEditor({
      element,
      content: show(value),
      singleLine,
      lines,
      label,
      editable: !readonly,
      labels,
      onchange: (html) => {
        changes++;
        tell(read(html));
      },
      onopen: (position, inside, at) => pick('field', position, inside, at),
      onpassage: (position, inside, at) => pick('passage', position, inside, at),
      onpictures: (dropped) => (files = [...files, ...dropped]),
      onbrace: openPicker,
      onenter
    });
    editor.on('selectionUpdate', () => changes++);
  }

  function tell(text: string) {
    told = text;
    onchange(text);
  }

  // What another tab, a take-back or the text form changed comes in from outside.
  $effect(() => {
    if (editor && value !== told) {
      told = value;
      editor.commands.setContent(show(value), { emitUpdate: false });
    }
  });

  $effect(() => {
    editor?.setEditable(!readonly, false);
  });

  function toggleSource() {
    source = !source;
    if (!source) editor?.commands.setContent(show(told), { emitUpdate: false });
  }

  function put(inside: string) {
    const at = picking?.position ?? null;
    const node = { type: 'mergeField', attrs: { inside } };
    takeKeys();
    const chain = editor?.chain();
    if (at === null) chain?.insertContent(node).run();
    else chain?.insertContentAt({ from: at, to: at + 1 }, node).run();
    picking = null;
  }

  function putPassage(inside: string) {
    const at = picking?.position ?? null;
    takeKeys();
    if (at === null) editor?.commands.wrapInPassage(inside);
    else editor?.commands.changePassage(at, inside);
    picking = null;
  }

  function close() {
    picking = null;
    takeKeys();
  }

  function typeByHand() {
    close();
    editor?.commands.insertContent('{{');
  }

  function remove() {
    const at = picking?.position ?? null;
    close();
    if (at !== null) editor?.commands.deleteRange({ from: at, to: at + 1 });
  }

  function removePassage() {
    const at = picking?.position ?? null;
    close();
    if (at !== null) editor?.commands.unwrapPassage(at);
  }

  onDestroy(() => editor?.destroy());
</script>

<div class="relative flex min-h-0 flex-1 flex-col" bind:this={frame}>
  {#if !singleLine && !lines && editor && !readonly}
    <EditorBar
      {editor}
      {changes}
      {compact}
      {source}
      onsource={toggleSource}
      onmerge={openPicker}
      onpassage={() => pick('passage', null, null)}
      onpicture={() => (picturing = true)}
    />
    <PictureDialog {editor} bind:open={picturing} bind:files />
  {/if}
  {#if source}<SourceView value={told} {label} onchange={tell} />{/if}
  <div
    class={singleLine ? '' : `min-h-0 flex-1 overflow-y-auto px-4 py-3 ${source ? 'hidden' : ''}`}
    {@attach mount}
  ></div>
  {#if picking}
    <PickingForm
      {picking}
      {fields}
      {hints}
      onfield={put}
      onpassage={putPassage}
      onbrace={typeByHand}
      onremove={picking.kind === 'passage' ? removePassage : remove}
      onclose={close}
    />
  {/if}
</div>
