import { NodeSelection, TextSelection, type Selection, type Transaction } from '@tiptap/pm/state';
import type { EditorProps } from '@tiptap/pm/view';
import { pasting } from './pasting';

export interface PageInputEvents {
  /** the list of fields is asked for at the cursor */
  list: () => void;
  /** a file was dropped on the page, or pasted into it */
  bring: (file: File, at: number) => void;
  /** what was pasted had parts that no letter may contain, or none */
  leftOut: (what: readonly string[]) => void;
}

/** What a page in pencil does with what is typed, pasted and dropped. */
export function pageInput({ list, bring, leftOut }: PageInputEvents): EditorProps {
  return {
    transformPastedHTML: (html, view) =>
      pasting({ leftOut, bring: (file) => bring(file, view.state.selection.to) })(html),
    handlePaste: (view, event) => {
      const pictures = pastedPictures(event.clipboardData);
      for (const file of pictures) bring(file, view.state.selection.from);
      return pictures.length > 0;
    },
    handleDrop: (view, event, _, moved) => {
      const files = moved ? [] : [...(event.dataTransfer?.files ?? [])];
      const place = view.posAtCoords({ left: event.clientX, top: event.clientY });
      for (const file of files) bring(file, place?.pos ?? view.state.selection.from);
      return files.length > 0;
    },
    handleTextInput: (view, from, to, text) => {
      if (isKept(view.state.selection)) {
        // What is typed while a thing is chosen does not take its place: it stands behind it, where it can.
        const behind = view.state.selection.to;
        const { parent } = view.state.doc.resolve(behind);
        if (parent.inlineContent)
          view.dispatch(typed(view.state.tr.insertText(text, behind), behind + text.length));
        return true;
      }
      if (text !== '{' || from !== to || view.state.doc.textBetween(Math.max(0, from - 1), from) !== '{')
        return false;
      view.dispatch(view.state.tr.delete(from - 1, from));
      list();
      return true;
    },
  };
}

/** The pictures that are pasted for themselves; those that come with words are the words' own. */
function pastedPictures(pasted: DataTransfer | null): File[] {
  const words = pasted
    ?.getData('text/html')
    .replace(/<[^>]*>/g, '')
    .trim();
  if (!pasted || words) return [];
  return [...pasted.files].filter(({ type }) => type.startsWith('image/'));
}

/** Whether a thing is chosen that only a key for it takes out; a gap is there to be written over. */
function isKept(selection: Selection): boolean {
  return selection instanceof NodeSelection && !['gap', 'unfinished'].includes(selection.node.type.name);
}

function typed(transaction: Transaction, at: number): Transaction {
  return transaction.setSelection(TextSelection.create(transaction.doc, at)).scrollIntoView();
}
