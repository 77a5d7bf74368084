<script lang="ts">
  import type { Editor } from '@tiptap/core';

  interface Props {
    editor: Editor;
    changes: number;
    onbutton: () => void;
    onpassage: () => void;
    ondone: () => void;
  }

  let { editor, changes, onbutton, onpassage, ondone }: Props = $props();

  const chain = () => editor.chain().focus();
  const inTable = $derived.by(() => {
    void changes;
    return editor.isActive('table');
  });
  const inserts = $derived([
    { name: 'Button', run: onbutton },
    { name: 'Passage for some', run: onpassage },
    { name: 'Signature', run: () => put({ type: 'putIn', attrs: { name: 'signature' } }) },
    { name: 'Leaving line', run: () => put(leaveLine) },
    { name: 'Quotation', run: () => done(chain().toggleBlockquote().run()) },
    { name: 'Dividing line', run: () => done(chain().setHorizontalRule().run()) },
    ...(inTable ? tableActs() : [{ name: 'Table', run: table }])
  ]);

  /** What the foot of a promotional message would say by itself; put in by hand it can be changed. */
  const leaveLine = {
    type: 'paragraph',
    content: [
      {
        type: 'text',
        text: 'You can leave this list at any time',
        marks: [{ type: 'link', attrs: { href: '{{leave_link}}' } }]
      },
      { type: 'text', text: '.' }
    ]
  };

  function done(worked: boolean) {
    if (worked) ondone();
  }

  function put(content: object) {
    done(chain().insertContent(content).run());
  }

  function table() {
    done(chain().insertTable({ rows: 3, cols: 2, withHeaderRow: true }).run());
  }

  function tableActs() {
    return [
      { name: 'Row below', run: () => done(chain().addRowAfter().run()) },
      { name: 'Column after', run: () => done(chain().addColumnAfter().run()) },
      { name: 'Delete the row', run: () => done(chain().deleteRow().run()) },
      { name: 'Delete the column', run: () => done(chain().deleteColumn().run()) },
      { name: 'Delete the table', run: () => done(chain().deleteTable().run()) }
    ];
  }
</script>

<div class="border-t border-line-soft pt-2">
  <p class="text-soft">Insert</p>
  <ul class="mt-1 grid grid-cols-2 gap-x-2">
    {#each inserts as insert (insert.name)}
      <li>
        <button
          type="button"
          class="w-full rounded px-2 py-1 text-left hover:bg-shade"
          onclick={insert.run}>{insert.name}</button
        >
      </li>
    {/each}
  </ul>
</div>
