import { Editor, Extension } from '@tiptap/core';
import { closeHistory } from '@tiptap/pm/history';
import { NodeSelection, TextSelection } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';
import { readCopy } from '../../core/document/readDocument';
import type { Place } from '../../core/proof/proofMark';
import type { Letter } from '../../core/writing/letter';
import type { Shorthand as Kept } from '../../core/template/template';
import type { CursorPlace } from './AtCursor';
import { Hole } from './hole';
import type { HoleOptions } from './holeElement';
import { LETTER_MARKS } from './letterMarks';
import { LETTER_NODES } from './letterNodes';
import { PageHistory } from './pageHistory';
import { pasting } from './pasting';
import { replaceWhatDiffers } from './replaceWhatDiffers';
import { putShorthand, Shorthand, type ShorthandOptions } from './shorthand';
import { chosenValues, ValueLooks } from './valueLooks';

export interface EditorEvents extends HoleOptions {
  /** after a change, by hand or by undoing; the document is read from the page when it is asked for */
  changed: () => void;
  /** @param andNext whether the next one is to be read then */
  send: (andNext: boolean) => void;
  /** words are selected, whose looks can be changed, or none */
  selected: (hasWords: boolean) => void;
  /** what was pasted had parts that no letter may contain, or none */
  leftOut: (what: readonly string[]) => void;
  shorthand: Omit<ShorthandOptions, 'asked' | 'next'>;
}

/** The page as an editor. The letter it shows is a fair copy; it knows nothing of records and templates. */
export class LetterEditor {
  readonly editor: Editor;
  private readonly shorthand: EditorEvents['shorthand'];
  /** whether the cursor stands where somebody put it */
  private wasHere = false;

  constructor(letter: Letter, { changed, send, selected, leftOut, shorthand, ...holes }: EditorEvents) {
    this.shorthand = shorthand;
    this.editor = new Editor({
      element: document.createElement('div'),
      injectCSS: false,
      extensions: [
        ...LETTER_NODES,
        ...LETTER_MARKS,
        Hole.configure(holes),
        PageHistory,
        Shorthand.configure({ ...shorthand, asked: toQuestion, next: toNextQuestion }),
        ValueLooks,
        Extension.create({
          name: 'sending',
          addKeyboardShortcuts: () => ({
            'Mod-Enter': () => (send(false), true),
            'Mod-Shift-Enter': () => (send(true), true),
          }),
        }),
      ],
      content: contentOf(letter),
      editorProps: {
        attributes: {
          role: 'textbox',
          'aria-multiline': 'true',
          'aria-label': 'Letter',
          class: 'letter-body copy',
          spellcheck: 'true',
        },
        transformPastedHTML: pasting({ leftOut }),
        handleClick: (_view, _position, event) => {
          const id = (event.target as Element).closest<HTMLElement>('[data-id]')?.dataset.id;
          if (id !== undefined) holes.choose(id);
          return false;
        },
      },
      onFocus: () => (this.wasHere = true),
      onUpdate: changed,
      onSelectionUpdate: ({ editor }) =>
        selected(!editor.state.selection.empty && !(editor.state.selection instanceof NodeSelection)),
    });
  }

  /** The page itself, to be put where it belongs. */
  get element(): HTMLElement {
    return this.editor.view.dom;
  }

  /** The letter as it stands. */
  read(): Letter {
    const { doc } = this.editor.state;
    return {
      document: readCopy(doc.toJSON()),
      choices: JSON.parse(doc.attrs.choices as string) as Letter['choices'],
    };
  }

  /** Shows the letter otherwise: only the part that differs is replaced, in one step that can be undone. */
  show(letter: Letter): void {
    const { state, schema, view } = this.editor;
    const next = schema.nodeFromJSON(contentOf(letter));
    const transaction = state.tr;
    replaceWhatDiffers(transaction, next);
    const choices = JSON.stringify(letter.choices);
    if (state.doc.attrs.choices !== choices) transaction.setDocAttribute('choices', choices);
    if (!transaction.docChanged) return;
    const back = questionInHand(view.dom);
    // However soon it follows on another, it is undone by itself.
    view.dispatch(closeHistory(transaction));
    back();
  }

  /** Which block the caret stands in, the subject being the first. */
  caret(): number {
    return this.editor.state.selection.$head.index(0);
  }

  /** Opens the notes of places. */
  choose(ids: ReadonlySet<string>): void {
    const { state, view } = this.editor;
    view.dispatch(state.tr.setMeta(chosenValues, ids).setMeta('addToHistory', false));
  }

  /** Selects words by their line and their place in it, and brings them into view. */
  goTo({ line, from, to }: Place): void {
    const { state, view } = this.editor;
    let index = -1;
    let start: number | undefined;
    state.doc.descendants((node, position) => {
      if (node.isTextblock && ++index === line) start = position + 1;
      return start === undefined;
    });
    if (start === undefined) return;
    const end = state.doc.content.size;
    const selection = TextSelection.create(state.doc, Math.min(start + from, end), Math.min(start + to, end));
    view.dispatch(state.tr.setSelection(selection).scrollIntoView());
    view.focus();
  }

  focus(): void {
    this.editor.view.focus();
  }

  /** Where the cursor is in the window; where the page was not written on yet, in a new line of its own before the signature. */
  cursor(): CursorPlace {
    const { view } = this.editor;
    if (!this.wasHere) toNewLine(view);
    return view.coordsAtPos(view.state.selection.from);
  }

  /** Puts in what a shorthand says, at the cursor, and goes to what it asks. */
  put(shorthand: Kept): void {
    const { view, state } = this.editor;
    const { from, to } = state.selection;
    view.focus();
    const put = putShorthand(view, { shorthand, from, to }, this.shorthand);
    if (put) toQuestion(view, put.from, put.to);
  }

  destroy(): void {
    this.editor.destroy();
  }
}

function contentOf({ document, choices }: Letter) {
  const [subject, ...body] = document.content;
  // A page always has a line to write on.
  const blocks = body.length ? body : [{ type: 'paragraph' as const, content: [] }];
  return { type: 'doc', attrs: { choices: JSON.stringify(choices) }, content: [subject!, ...blocks] };
}

/** Makes a line behind the last block that is no signature, and puts the cursor there. */
function toNewLine({ state, dispatch }: EditorView): void {
  const { paragraph } = state.schema.nodes;
  let at = state.doc.content.size;
  for (let i = state.doc.childCount - 1; i > 0; i--) {
    const block = state.doc.child(i);
    let signs = false;
    block.descendants(({ marks }) => {
      signs ||= marks.some(({ type }) => type.name === 'signature');
    });
    if (!signs) break;
    at -= block.nodeSize;
  }
  const transaction = state.tr.insert(at, paragraph!.create());
  dispatch(transaction.setSelection(TextSelection.create(transaction.doc, at + 1)));
}

/** Goes to the question that stands next behind the cursor; in a list Tab moves the item. */
function toNextQuestion(view: EditorView): boolean {
  const { $to } = view.state.selection;
  const isInList = Array.from({ length: $to.depth }, (_, i) => $to.node(i + 1)).some(
    ({ type }) => type.name === 'listItem',
  );
  return !isInList && toQuestion(view, $to.pos, view.state.doc.content.size);
}

/** Goes to the first question that stands between two places. Gives whether there is one. */
function toQuestion(view: EditorView, from: number, to: number): boolean {
  let first: HTMLElement | null | undefined;
  view.state.doc.nodesBetween(from, to, (node, at) => {
    const element = node.type.name === 'hole' && !first ? view.nodeDOM(at) : undefined;
    if (element instanceof HTMLElement) first = element.querySelector<HTMLElement>('.hole-question');
  });
  first?.focus();
  return first !== undefined && first !== null;
}

/** Remembers the question that is being answered; what is given goes back to it, with what was typed, where it was made anew. */
function questionInHand(page: HTMLElement): () => void {
  const active = document.activeElement;
  if (!page.contains(active) || !(active instanceof HTMLInputElement || active instanceof HTMLSelectElement))
    return () => {};
  const id = active.closest<HTMLElement>('[data-id]')?.dataset.id;
  const { value } = active;
  return () => {
    if (document.activeElement === active || id === undefined) return;
    const again = page.querySelector<HTMLInputElement>(`[data-id="${CSS.escape(id)}"] .hole-question`);
    if (!again) return;
    again.focus();
    if (value) again.value = value;
  };
}
