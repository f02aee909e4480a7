import { Editor, Extension } from '@tiptap/core';
import { closeHistory } from '@tiptap/pm/history';
import type { Node as PageNode } from '@tiptap/pm/model';
import { NodeSelection, Selection, type Transaction } from '@tiptap/pm/state';
import type { Line, TemplateDocument } from '../../core/document/templateDocument';
import type { Around } from '../../core/fields/sayField';
import type { Labels } from '../../core/fill/describe/labels';
import type { Passage, Shorthand as Kept } from '../../core/template/template';
import { expressible } from '../../core/template/text/expressible';
import { changeFields, fieldsIn, putPicture, setAttributes, takeOut, type FieldAt } from './templateCommands';
import { PageHistory } from './pageHistory';
import { depthOf, turnOtherwise, unwrap } from './structureCommands';
import { replaceWhatDiffers } from './replaceWhatDiffers';
import { putShorthand, Shorthand, type ShorthandOptions } from './shorthand';
import { fromEditor, kindInDocument, toEditor } from './structures';
import { pageInput, type PageInputEvents } from './pageInput';
import { RENAMED } from './structureView';
import { tagOf, type PagePencil } from './templateLooks';
import { TEMPLATE_MARKS, templateNodes } from './templateNodes';
import { tagLook } from '../document/tagLook';

/** What is written on a template's page: a passage and a signature have no subject. */
export interface TemplatePage {
  subject?: Line;
  document: TemplateDocument;
}

/** The one thing that is chosen on the page: a field, a blank, an only-when, a listing, a passage, a picture. */
export interface Chosen {
  /** where it stands on the page */
  at: number;
  /** its kind, as the document has it */
  type: string;
  attrs: Record<string, unknown>;
  /** the sections around it, outermost first */
  around: readonly Around[];
  /** whether it is an only-when that says what stands there otherwise */
  hasOtherwise: boolean;
}

/** What is selected on the page. */
export interface Selected {
  chosen: Chosen | undefined;
  /** words are, whose looks can be changed */
  hasWords: boolean;
  inTable: boolean;
}

export interface TemplateEditorOptions extends PageInputEvents {
  /** what the page is called to whoever cannot see it */
  name: string;
  passages: ReadonlyMap<string, Passage>;
  /** the words for the tags of a page */
  labels: (page: TemplatePage) => Labels;
  /** after a change, by hand or by undoing */
  changed: () => void;
  /** something else is selected */
  selected: (selected: Selected) => void;
  shorthand: Pick<ShorthandOptions, 'all' | 'list'>;
  /** what is chosen is to be changed in its note */
  note: () => void;
  keep: () => void;
  turn: () => void;
}

/** Of a transaction that shows what was changed elsewhere. */
const SHOWN = 'shown';

/** A page of a template as an editor. It knows its document; what fields say is told to it. */
export class TemplateEditor {
  readonly editor: Editor;
  private readonly pencil: PagePencil;
  private readonly hasSubject: boolean;

  constructor(
    page: TemplatePage,
    private readonly options: TemplateEditorOptions,
  ) {
    this.hasSubject = page.subject !== undefined;
    this.pencil = { current: { labels: options.labels(page), passages: options.passages } };
    const { keep, turn, list, note } = options;
    this.editor = new Editor({
      element: document.createElement('div'),
      injectCSS: false,
      extensions: [
        ...templateNodes(this.pencil, { hasSubject: this.hasSubject }),
        ...TEMPLATE_MARKS,
        PageHistory,
        Shorthand.configure({ ...options.shorthand, write: shorthandBlocks }),
        Extension.create({
          name: 'desk',
          priority: 200,
          addKeyboardShortcuts: () => ({
            'Mod-Enter': () => (keep(), true),
            'Mod-Shift-Enter': () => (turn(), true),
            'Mod-.': () => (list(), true),
            Enter: () => this.isChosen() && (note(), true),
            Escape: () => this.isChosen() && (this.leave(), true),
          }),
        }),
      ],
      content: contentOf(page),
      editorProps: {
        attributes: {
          role: 'textbox',
          'aria-multiline': 'true',
          'aria-label': options.name,
          class: 'letter-body copy pencil',
          spellcheck: 'true',
        },
        ...pageInput(options),
      },
      onTransaction: ({ transaction }) => {
        if (transaction.docChanged && transaction.steps.some(bringsTags)) this.rename();
      },
      // What is only shown here was written elsewhere.
      onUpdate: ({ transaction }) => {
        if (!transaction.getMeta(SHOWN)) options.changed();
      },
      onSelectionUpdate: () => this.tell(),
    });
  }

  /** The page itself, to be put where it belongs. */
  get element(): HTMLElement {
    return this.editor.view.dom;
  }

  /** The page as it stands, in the one form that text can say. */
  read(): TemplatePage {
    const { content = [] } = fromEditor(this.editor.state.doc.toJSON() as { type: string });
    if (!this.hasSubject) return { document: expressible({ type: 'doc', content }) };
    const [subject, ...body] = content as [{ content?: unknown[] }, ...unknown[]];
    const line = { type: 'doc', content: [{ type: 'paragraph', content: subject.content ?? [] }] };
    const [words] = expressible(line).content;
    return {
      subject: words?.type === 'paragraph' ? words.content : [],
      document: expressible({ type: 'doc', content: body }),
    };
  }

  /** Shows another page: only the part that differs is replaced, in one step that can be undone. */
  show(page: TemplatePage): void {
    const { state, schema, view } = this.editor;
    this.pencil.current = { labels: this.options.labels(page), passages: this.options.passages };
    const transaction = state.tr;
    replaceWhatDiffers(transaction, schema.nodeFromJSON(contentOf(page)));
    if (transaction.docChanged) view.dispatch(closeHistory(transaction).setMeta(SHOWN, true));
  }

  /** The sections around the cursor, outermost first. */
  around(at = this.editor.state.selection.from): readonly Around[] {
    const place = this.editor.state.doc.resolve(at);
    return Array.from({ length: place.depth }, (_, i) => place.node(i + 1))
      .filter(({ type, attrs }) => kindInDocument(type.name) === 'section' && !attrs.inverted)
      .map(({ attrs }) => attrs as Around);
  }

  /** Where the cursor is in the window. */
  cursor(): { left: number; top: number; bottom: number } {
    const { view, state } = this.editor;
    return view.coordsAtPos(state.selection.from);
  }

  /** Where a thing on the page stands in the window. */
  placeOf(at: number): { top: number; bottom: number } {
    const { view } = this.editor;
    const element = view.nodeDOM(at);
    if (!(element instanceof Element)) return view.coordsAtPos(Math.min(at, view.state.doc.content.size));
    const own = element.getBoundingClientRect();
    // Rows that depend on something have no place of their own.
    return own.height ? own : (element.firstElementChild ?? element).getBoundingClientRect();
  }

  /** Changes what a thing on the page says; it stays chosen. */
  change(at: number, attrs: object): void {
    setAttributes(this.editor, at, attrs);
    this.tell();
  }

  /** Takes a thing out of the page. */
  takeOut(at: number): void {
    takeOut(this.editor, at);
  }

  /** Puts something in the place of a thing on the page. */
  replace(at: number, json: object): void {
    const { state, view, schema } = this.editor;
    const size = state.doc.nodeAt(at)?.nodeSize ?? 0;
    view.dispatch(state.tr.replaceWith(at, at + size, schema.nodeFromJSON(json)));
    view.focus();
  }

  /** Says something otherwise where an only-when does not hold, or nothing any more. */
  otherwise(at: number): void {
    turnOtherwise(this.editor, at);
    this.tell();
  }

  /** Lets what is in a structure stand by itself. */
  unwrap(at: number): void {
    unwrap(this.editor, at);
  }

  /** How often a fact stands on the page. */
  timesOf(path: string): number {
    return fieldsIn(this.editor.state.doc).filter(({ attrs }) => attrs.path === path).length;
  }

  /** Changes some of the fields in one step. */
  changeFields(
    which: (field: FieldAt) => boolean,
    change: (attrs: FieldAt['attrs']) => FieldAt['attrs'],
  ): void {
    const changed = fieldsIn(this.editor.state.doc)
      .filter(which)
      .map(({ at, attrs }) => ({ at, attrs: change(attrs) }));
    changeFields(this.editor, changed);
    this.tell();
  }

  /** The words of every tag are found anew, and shown. */
  rename(): void {
    const labels = this.options.labels(this.read());
    this.pencil.current = { labels, passages: this.options.passages };
    const { view } = this.editor;
    view.state.doc.descendants((node, at) => {
      const element = view.nodeDOM(at);
      if (!(element instanceof HTMLElement)) return true;
      if (element.dataset.structure !== undefined || element.classList.contains('passage'))
        element.dispatchEvent(new Event(RENAMED));
      else if (element.dataset.tag !== undefined) {
        const { words } = tagLook(tagOf(node), this.pencil.current);
        if (element.textContent !== words) element.textContent = words;
      }
      return true;
    });
  }

  /** Puts in what a shorthand says, at the cursor. */
  putShorthand(shorthand: Kept): void {
    const { view, state } = this.editor;
    const { from, to } = state.selection;
    view.focus();
    putShorthand(view, { shorthand, from, to }, { write: shorthandBlocks });
  }

  /** Keeps an eye on a place while the page changes. Gives where it is by then, once. */
  follow(at: number): () => number {
    let place = at;
    const move = ({ transaction }: { transaction: Transaction }) => {
      place = transaction.mapping.map(place);
    };
    this.editor.on('transaction', move);
    return () => {
      this.editor.off('transaction', move);
      return place;
    };
  }

  /** Puts a picture in, and chooses it: where it cannot stand among words, in a line of its own. */
  putPicture(at: number, attrs: object): void {
    putPicture(this.editor, at, attrs);
    this.tell();
  }

  /** Puts HTML in at the cursor as if it were pasted there. */
  pasteHtml(html: string): void {
    this.editor.view.pasteHTML(html);
  }

  /** Chooses the first gap, so that what is typed takes its place. */
  begin(): void {
    const { state, view } = this.editor;
    let gap: number | undefined;
    state.doc.descendants((node, at) => {
      if (kindInDocument(node.type.name) === 'gap') gap ??= at;
      return gap === undefined;
    });
    if (gap !== undefined) view.dispatch(state.tr.setSelection(NodeSelection.create(state.doc, gap)));
    view.focus();
  }

  /** Nothing is chosen any more: the cursor stands behind what was. */
  leave(): void {
    const { state, view } = this.editor;
    view.dispatch(state.tr.setSelection(Selection.near(state.doc.resolve(state.selection.to))));
    view.focus();
  }

  private isChosen(): boolean {
    return this.editor.state.selection instanceof NodeSelection;
  }

  focus(): void {
    this.editor.view.focus();
  }

  destroy(): void {
    this.editor.destroy();
  }

  private tell(): void {
    const { selection } = this.editor.state;
    const node = selection instanceof NodeSelection ? selection.node : undefined;
    this.options.selected({
      chosen: node && {
        at: selection.from,
        type: kindInDocument(node.type.name),
        attrs: node.attrs,
        around: this.around(),
        hasOtherwise: kindInDocument(node.type.name) === 'when' && node.childCount === 2,
      },
      hasWords: !node && !selection.empty,
      inTable: depthOf(selection.$from, 'table') > 0,
    });
  }
}

/** What a shorthand says on a page in pencil: its words with their fields. */
function shorthandBlocks({ document }: Kept): object[] {
  return (contentOf({ document }) as { content?: object[] }).content ?? [];
}

function contentOf({ subject, document }: TemplatePage) {
  // A page always has a line to write on.
  const blocks = document.content.length ? document.content : [{ type: 'paragraph' as const, content: [] }];
  const content = subject ? [{ type: 'subject', content: subject }, ...blocks] : blocks;
  return toEditor({ type: 'doc', content } as never);
}

/** Whether a step puts in anything but words. */
function bringsTags(step: object): boolean {
  let brings = false;
  const { slice } = step as { slice?: { content: { descendants: PageNode['descendants'] } } };
  slice?.content.descendants((node) => {
    brings ||= !node.isText && !node.isTextblock;
    return !brings;
  });
  return brings || !slice;
}
