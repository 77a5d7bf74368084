import { InputRule, Node, mergeAttributes } from '@tiptap/core';
import { shown } from './mergeText';

interface Options {
  /** What people read for a field's name. */
  labels: (name: string) => string;
  /** Called when a merge field is pressed, to change it. */
  onopen: (position: number, inside: string, at: DOMRect) => void;
}

/** A merge field as one part of the text: moved over, selected and removed as a whole. */
export const MergeNode = Node.create<Options>({
  name: 'mergeField',
  group: 'inline',
  inline: true,
  atom: true,
  selectable: true,

  addOptions() {
    return { labels: (name) => name, onopen: () => {} };
  },

  addAttributes() {
    return {
      inside: {
        default: '',
        parseHTML: (element) => element.getAttribute('data-merge'),
        renderHTML: (attributes) => ({ 'data-merge': attributes.inside as string })
      }
    };
  },

  parseHTML() {
    return [{ tag: 'span[data-merge]' }];
  },

  renderHTML({ HTMLAttributes }) {
    return ['span', mergeAttributes(HTMLAttributes)];
  },

  renderText({ node }) {
    return `{{${node.attrs.inside}}}`;
  },

  addNodeView() {
    return ({ node, getPos }) => {
      const dom = document.createElement('span');
      dom.className = 'merge-field';
      dom.setAttribute('role', 'button');
      const part = shown(node.attrs.inside as string, this.options.labels);
      const small = document.createElement('span');
      small.className = 'as-written';
      small.textContent = part.kind === 'field' && part.after ? ` ${part.after}` : part.after;
      if (part.kind === 'field') {
        dom.append(part.label, small);
      } else {
        dom.classList.add('edge');
        dom.append(small, part.kind === 'note' ? '' : part.label);
      }
      dom.addEventListener('click', () => {
        const position = getPos();
        if (position !== undefined) {
          this.options.onopen(position, node.attrs.inside as string, dom.getBoundingClientRect());
        }
      });
      return { dom };
    };
  },

  /** Typed as `{{first_name or "friend"}}` it turns into the same part. */
  addInputRules() {
    return [
      new InputRule({
        find: /\{\{([^{}]+)\}\}$/,
        handler: ({ state, range, match }) => {
          const inside = (match[1] ?? '').replaceAll('“', '"').replaceAll('”', '"').trim();
          state.tr.replaceWith(range.from, range.to, this.type.create({ inside }));
        }
      })
    ];
  }
});
