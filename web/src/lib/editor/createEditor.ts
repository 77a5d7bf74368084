import { Editor, Extension, Node, type Content } from '@tiptap/core';
import Image from '@tiptap/extension-image';
import { TableKit } from '@tiptap/extension-table';
import TextAlign from '@tiptap/extension-text-align';
import { Color, FontSize, TextStyle } from '@tiptap/extension-text-style';
import StarterKit from '@tiptap/starter-kit';
import { MergeNode } from './mergeNode';
import { PassageNode } from './passageNode';
import { cleanPaste } from './paste';
import { picturesIn } from '$lib/picture/pictures';
import { PutInNode } from './putInNode';

interface Wanted {
  element: HTMLElement;
  content: Content;
  /** One line without looks, for a subject. */
  singleLine: boolean;
  /** Lines without looks, for a text message. */
  lines: boolean;
  label: string;
  editable: boolean;
  labels: (name: string) => string;
  onchange: (html: string) => void;
  onopen: (position: number, inside: string, at: DOMRect) => void;
  /** The head of a passage was pressed. */
  onpassage: (position: number, inside: string, at: DOMRect) => void;
  /** Pictures were dropped or pasted. */
  onpictures: (files: File[]) => void;
  /** `{` was typed: a merge field is wanted at the cursor. */
  onbrace: () => void;
  onenter: () => void;
}

/** A subject is one paragraph without any looks. */
const OneLine = Node.create({ name: 'doc', topNode: true, content: 'paragraph' });
/** A text message is paragraphs without any looks, a line each. */
const Lines = Node.create({ name: 'doc', topNode: true, content: 'paragraph+' });
const plain = StarterKit.configure({
  document: false,
  blockquote: false,
  bold: false,
  bulletList: false,
  code: false,
  codeBlock: false,
  hardBreak: false,
  heading: false,
  horizontalRule: false,
  italic: false,
  link: false,
  listItem: false,
  listKeymap: false,
  orderedList: false,
  strike: false,
  trailingNode: false,
  underline: false
});

/** The editor of a body or, as a single line, of a subject. */
export function createEditor(wanted: Wanted): Editor {
  const merge = MergeNode.configure({ labels: wanted.labels, onopen: wanted.onopen });
  return new Editor({
    element: wanted.element,
    content: wanted.content,
    editable: wanted.editable,
    extensions: [...holds(wanted), merge, keys(wanted)],
    editorProps: {
      attributes: {
        'aria-label': wanted.label,
        role: 'textbox',
        'aria-multiline': String(!wanted.singleLine),
        class: wanted.singleLine
          ? 'outline-none'
          : `${wanted.lines ? '' : 'letter-body '}outline-none min-h-full`
      },
      // Ctrl+Enter belongs to the screen, which releases; a line within a paragraph is Shift+Enter.
      handleDOMEvents: {
        keydown: (_, event) => event.key === 'Enter' && (event.ctrlKey || event.metaKey)
      },
      transformPastedHTML: cleanPaste,
      handlePaste: (_, event) => takePictures(wanted, event.clipboardData),
      handleDrop: (_, event) => takePictures(wanted, event.dataTransfer)
    },
    // A line that the editor itself puts at the end when it is entered is nobody's change.
    onUpdate: ({ editor, transaction }) => {
      if (transaction.docChanged) wanted.onchange(editor.getHTML());
    }
  });
}

function holds(wanted: Wanted) {
  if (wanted.singleLine) return [OneLine, plain];
  return wanted.lines ? [Lines, plain] : letter(wanted);
}

/** Everything a letter may hold. */
export function letter(wanted: Pick<Wanted, 'labels' | 'onpassage'>) {
  return [
    StarterKit.configure({
      heading: { levels: [1, 2, 3] },
      link: {
        openOnClick: false,
        isAllowedUri: (uri) => isAddress(uri),
        HTMLAttributes: { target: null, rel: null, class: null }
      }
    }),
    TextStyle,
    Color,
    FontSize,
    TextAlign.configure({ types: ['heading', 'paragraph'] }),
    TableKit.configure({ table: { resizable: false } }),
    Image.configure({ inline: true, allowBase64: false }),
    PassageNode.configure({ labels: wanted.labels, onopen: wanted.onpassage }),
    PutInNode
  ];
}

/** Words win over pictures: word processors put a picture of the words beside them. */
function takePictures(wanted: Wanted, transfer: DataTransfer | null): boolean {
  const files = picturesIn(transfer);
  if (wanted.singleLine || wanted.lines || !files.length || transfer?.types.includes('text/html'))
    return false;
  wanted.onpictures(files);
  return true;
}

/** What may stand in a link: the same schemes the server lets through, or a merge field. */
export function isAddress(address: string): boolean {
  return /^(https?:\/\/|mailto:|tel:|\{\{)/i.test(address.trim());
}

function keys(wanted: Wanted) {
  return Extension.create({
    name: 'ownKeys',
    addKeyboardShortcuts() {
      const enter = () => {
        wanted.onenter();
        return true;
      };
      return {
        '{': () => {
          wanted.onbrace();
          return true;
        },
        ...(wanted.singleLine ? { Enter: enter } : {})
      };
    }
  });
}
