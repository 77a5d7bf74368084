<script lang="ts">
  import type { MergeFieldName } from '$lib/api/types';
  import type { Editor } from '@tiptap/core';
  import { onDestroy, untrack } from 'svelte';
  import { createEditor } from './createEditor';
  import EditorBar from './EditorBar.svelte';
  import MergePicker from './MergePicker.svelte';
  import { fromEditor, subjectFromEditor, subjectToEditor, toEditor } from './mergeText';

  interface Props {
    /** The text form; a new value from outside replaces what is shown. */
    value: string;
    fields: MergeFieldName[];
    label: string;
    singleLine?: boolean;
    readonly?: boolean;
    onchange: (value: string) => void;
    onenter?: () => void;
  }

  let {
    value,
    fields,
    label,
    singleLine = false,
    readonly = false,
    onchange,
    onenter = () => {}
  }: Props = $props();

  let frame: HTMLDivElement;
  let editor = $state.raw<Editor | null>(null);
  let told = '';
  let changes = $state(0);
  let picker = $state.raw<{
    x: number;
    y: number;
    position: number | null;
    inside: string | null;
  } | null>(null);

  const read = (html: string) => (singleLine ? subjectFromEditor(html) : fromEditor(html));
  const show = (text: string) => (singleLine ? subjectToEditor(text) : toEditor(text));
  const labels = (name: string) =>
    fields.find((f) => f.name === name)?.label.toLowerCase() ?? name.replaceAll('_', ' ');

  function place(rect: { left: number; bottom: number }) {
    const box = frame.getBoundingClientRect();
    const x = Math.max(0, Math.min(rect.left - box.left, box.width - 290));
    return { x, y: rect.bottom - box.top + 4 };
  }

  export function openPicker() {
    if (!editor || readonly) return;
    const at = editor.view.coordsAtPos(editor.state.selection.from);
    picker = { ...place(at), position: null, inside: null };
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
      label,
      editable: !readonly,
      labels,
      onchange: (html) => {
        told = read(html);
        changes++;
        onchange(told);
      },
      onopen: (position, inside, at) => {
        if (!readonly) picker = { ...place(at), position, inside };
      },
      onbrace: openPicker,
      onenter
    });
    editor.on('selectionUpdate', () => changes++);
  }

  // What another tab or a take-back changed comes in from outside.
  $effect(() => {
    if (editor && value !== told) {
      told = value;
      editor.commands.setContent(show(value), { emitUpdate: false });
    }
  });

  $effect(() => {
    editor?.setEditable(!readonly, false);
  });

  function put(inside: string) {
    const at = picker?.position;
    const node = { type: 'mergeField', attrs: { inside } };
    takeKeys();
    const chain = editor?.chain();
    if (at === null || at === undefined) chain?.insertContent(node).run();
    else chain?.insertContentAt({ from: at, to: at + 1 }, node).run();
    picker = null;
  }

  function close() {
    picker = null;
    takeKeys();
  }

  function typeByHand() {
    picker = null;
    takeKeys();
    editor?.commands.insertContent('{{');
  }

  function remove() {
    const at = picker?.position;
    if (at !== null && at !== undefined) {
      takeKeys();
      editor?.commands.deleteRange({ from: at, to: at + 1 });
    }
    picker = null;
  }

  onDestroy(() => editor?.destroy());
</script>

<div class="relative flex min-h-0 flex-1 flex-col" bind:this={frame}>
  {#if !singleLine && editor && !readonly}
    <EditorBar {editor} {changes} onmerge={openPicker} />
  {/if}
  <div class={singleLine ? '' : 'min-h-0 flex-1 overflow-y-auto px-4 py-3'} {@attach mount}></div>
  {#if picker}
    <div class="absolute z-30" style:left={`${picker.x}px`} style:top={`${picker.y}px`}>
      <MergePicker
        {fields}
        current={picker.inside}
        onput={put}
        onbrace={typeByHand}
        onremove={remove}
        onclose={close}
      />
    </div>
  {/if}
</div>
