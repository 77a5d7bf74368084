// @vitest-environment happy-dom
import { Editor } from '@tiptap/core';
import { afterEach, describe, expect, it } from 'vitest';
import { letter } from './createEditor';
import { MergeNode } from './mergeNode';
import { fromEditor, toEditor } from './mergeText';

let editor: Editor | null = null;

/** Through the editor's own model, as when a text is opened and saved again. */
function through(text: string): string {
  editor?.destroy();
  editor = new Editor({
    element: document.createElement('div'),
    content: toEditor(text),
    extensions: [...letter({ labels: (n) => n, onpassage: () => {} }), MergeNode]
  });
  return fromEditor(editor.getHTML());
}

afterEach(() => {
  editor?.destroy();
  editor = null;
});

const pieces = [
  '<p>Dear {{first_name or "friend"}}, so &amp; so, 1 &lt; 2.</p>',
  '<p><strong>{{plan as capitals}}</strong> and <em>more</em> <u>of</u> it</p>',
  '<h2>News of {{organisation.name}}</h2>',
  '<ul><li><p>one {{number}}</p></li><li><p>two</p></li></ul>',
  '<ol><li><p>{{#plan}}a{{/plan}}</p></li></ol>',
  '<blockquote><p>said {{renews_on as "d MMMM yyyy"}}</p></blockquote>',
  '{{#dues_owed}}<p>There is {{dues_owed as money}}.</p><p>Soon.</p>{{/dues_owed}}',
  '{{^plan}}{{#stage}}<p>a</p>{{/stage}}<p>b</p>{{/plan}}',
  '{{&gt; signature}}',
  '<hr>',
  '<p style="text-align: center">in the middle</p>',
  '<p><span style="color: #8a2b5c">madder</span> <span style="font-size: 19px">large</span></p>',
  '<p><a href="https://quay.example/{{number}}">a link</a></p>',
  '<p><a class="button" href="{{source}}">Book</a></p>',
  '<p><img src="/pictures/abcdefghijklmnop" alt="A boat" width="300"></p>',
  '<p><img src="{{picture}}" alt="{{name}}"></p>',
  '<p>{{! a note }} Zoë 船 نور 👩‍🚀</p>'
];

/** Attributes in one order, and those that say nothing left out. */
function sorted(html: string): string {
  const page = document.createElement('div');
  page.innerHTML = html;
  const write = (node: Node): string => {
    if (node.nodeType !== Node.ELEMENT_NODE) return node.textContent ?? '';
    const element = node as Element;
    const attributes = [...element.attributes]
      .map((a) => `${a.name}="${a.value.replace(/;$/, '')}"`)
      .sort()
      .join(' ');
    return `<${element.localName} ${attributes}>${[...node.childNodes].map(write).join('')}`;
  };
  return [...page.childNodes].map(write).join('');
}

describe('the editor', () => {
  for (const piece of pieces) {
    it(`gives back ${piece.slice(0, 60)}`, () => {
      expect(sorted(through(piece))).toBe(sorted(piece));
    });
  }
  it('gives back anything made of these, again and again', { timeout: 30_000 }, () => {
    let seed = 7;
    const next = (below: number) => (seed = (seed * 48271) % 2147483647) % below;
    for (let round = 0; round < 80; round++) {
      const text = Array.from({ length: 1 + next(6) }, () => pieces[next(pieces.length)]).join('');
      const once = through(text);
      expect(sorted(once)).toBe(sorted(text));
      expect(through(once)).toBe(once);
    }
  });
  it('keeps a table whole', () => {
    const table =
      '<table><tbody><tr><th><p>Day</p></th></tr><tr><td><p>{{renews_on}}</p></td></tr></tbody></table>';
    const back = through(table);
    expect(back).toContain('{{renews_on}}');
    expect(through(back)).toBe(back);
  });
});
