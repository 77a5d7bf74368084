// @vitest-environment happy-dom
import { Editor } from '@tiptap/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { letter } from './createEditor';
import { MergeNode } from './mergeNode';
import { fromEditor, toEditor } from './mergeText';

let editor: Editor;
const onpassage = vi.fn();

beforeEach(() => {
  onpassage.mockReset();
  editor = new Editor({
    element: document.createElement('div'),
    content: toEditor('<p>one</p><p>two</p><p>three</p>'),
    extensions: [...letter({ labels: (n) => n.replace('_', ' '), onpassage }), MergeNode]
  });
});

afterEach(() => editor.destroy());

const text = () => fromEditor(editor.getHTML());

/** The paragraphs from one to another, counted from 0. */
function choose(from: number, to: number) {
  const places: number[] = [];
  editor.state.doc.descendants((node, at) => {
    if (node.type.name === 'paragraph') places.push(at + 1);
  });
  editor.commands.setTextSelection({ from: places[from] ?? 1, to: (places[to] ?? 1) + 1 });
}

describe('a passage for some', () => {
  it('is made around the chosen paragraphs', () => {
    choose(0, 1);
    editor.commands.wrapInPassage('#dues_owed');
    expect(text()).toBe('{{#dues_owed}}<p>one</p><p>two</p>{{/dues_owed}}<p>three</p>');
  });
  it('shows for others when it is changed', () => {
    choose(0, 0);
    editor.commands.wrapInPassage('#dues_owed');
    editor.commands.changePassage(0, '^plan');
    expect(text()).toBe('{{^plan}}<p>one</p>{{/plan}}<p>two</p><p>three</p>');
  });
  it('is shown to all again with its paragraphs left', () => {
    choose(1, 2);
    editor.commands.wrapInPassage('#plan');
    editor.commands.unwrapPassage(5);
    expect(text()).toBe('<p>one</p><p>two</p><p>three</p>');
  });
  it('may stand inside another', () => {
    choose(0, 1);
    editor.commands.wrapInPassage('#plan');
    choose(1, 1);
    editor.commands.wrapInPassage('^stage');
    expect(text()).toBe('{{#plan}}<p>one</p>{{^stage}}<p>two</p>{{/stage}}{{/plan}}<p>three</p>');
  });
  it('says whom it is for, and is changed by pressing that', () => {
    choose(0, 0);
    editor.commands.wrapInPassage('#dues_owed');
    const head = editor.view.dom.querySelector<HTMLElement>('.passage-head');
    expect(head?.textContent).toBe('only if dues owed');
    head?.click();
    expect(onpassage.mock.calls[0]?.slice(0, 2)).toEqual([0, '#dues_owed']);
  });
  it('goes with one step back', () => {
    choose(0, 0);
    editor.commands.wrapInPassage('#plan');
    editor.commands.undo();
    expect(text()).toBe('<p>one</p><p>two</p><p>three</p>');
  });
});
