import { Node, mergeAttributes } from '@tiptap/core';

const names: Record<string, string> = { signature: 'the sender’s signature' };

/** Another text that is put in here as a whole, such as the sender's signature. */
export const PutInNode = Node.create({
  name: 'putIn',
  group: 'block',
  atom: true,
  selectable: true,

  addAttributes() {
    return {
      name: {
        default: '',
        parseHTML: (element) => element.getAttribute('data-put-in'),
        renderHTML: (attributes) => ({ 'data-put-in': attributes.name as string })
      }
    };
  },

  parseHTML() {
    return [{ tag: 'div[data-put-in]' }];
  },

  renderHTML({ HTMLAttributes }) {
    return ['div', mergeAttributes(HTMLAttributes)];
  },

  addNodeView() {
    return ({ node }) => {
      const dom = document.createElement('div');
      dom.className = 'put-in';
      const name = node.attrs.name as string;
      dom.textContent = `— ${names[name] ?? name} stands here`;
      return { dom };
    };
  }
});
