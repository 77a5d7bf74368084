import { Node, mergeAttributes } from '@tiptap/core';
import { shown } from './mergeText';

interface Options {
  /** What people read for a field's name. */
  labels: (name: string) => string;
  /** Called when its head is pressed, to change it. */
  onopen: (position: number, inside: string, at: DOMRect) => void;
}

declare module '@tiptap/core' {
  interface Commands<ReturnType> {
    passage: {
      /** Makes the chosen paragraphs a passage that shows only for some. */
      wrapInPassage: (inside: string) => ReturnType;
      /** Changes whom the passage at a position shows for. */
      changePassage: (position: number, inside: string) => ReturnType;
      /** Shows the passage at a position to all. */
      unwrapPassage: (position: number) => ReturnType;
    };
  }
}

/** A passage that shows only for those who have a value, or only for those who have none. */
export const PassageNode = Node.create<Options>({
  name: 'passage',
  group: 'block',
  content: 'block+',
  defining: true,

  addOptions() {
    return { labels: (name) => name, onopen: () => {} };
  },

  addAttributes() {
    return {
      inside: {
        default: '',
        parseHTML: (element) => element.getAttribute('data-passage'),
        renderHTML: (attributes) => ({ 'data-passage': attributes.inside as string })
      }
    };
  },

  parseHTML() {
    return [{ tag: 'div[data-passage]' }];
  },

  renderHTML({ HTMLAttributes }) {
    return ['div', mergeAttributes(HTMLAttributes), 0];
  },

  addNodeView() {
    return ({ node, getPos }) => {
      const dom = document.createElement('div');
      dom.className = 'passage';
      const head = document.createElement('button');
      head.type = 'button';
      head.contentEditable = 'false';
      head.className = 'passage-head';
      const part = shown(node.attrs.inside as string, this.options.labels);
      const name = document.createElement('span');
      name.className = 'merge-field';
      name.textContent = part.label;
      head.append(part.after, name);
      head.addEventListener('click', () => {
        const position = getPos();
        if (position !== undefined) {
          this.options.onopen(position, node.attrs.inside as string, head.getBoundingClientRect());
        }
      });
      const contentDOM = document.createElement('div');
      dom.append(head, contentDOM);
      return { dom, contentDOM };
    };
  },

  addCommands() {
    return {
      wrapInPassage:
        (inside) =>
        ({ commands }) =>
          commands.wrapIn(this.name, { inside }),
      changePassage:
        (position, inside) =>
        ({ tr, dispatch }) => {
          dispatch?.(tr.setNodeAttribute(position, 'inside', inside));
          return true;
        },
      unwrapPassage:
        (position) =>
        ({ tr, dispatch }) => {
          const node = tr.doc.nodeAt(position);
          if (!node) return false;
          dispatch?.(tr.replaceWith(position, position + node.nodeSize, node.content));
          return true;
        }
    };
  }
});
