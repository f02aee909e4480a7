import { Extension } from '@tiptap/core';
import { closeHistory } from '@tiptap/pm/history';
import { Fragment, Slice, type Node as PageNode } from '@tiptap/pm/model';
import { Plugin, PluginKey, Selection, type EditorState } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';
import { shorthandBefore, type ShorthandByName } from '../../core/shorthand/shorthandBefore';
import type { Shorthand as Kept } from '../../core/template/template';

export interface ShorthandOptions {
  /** what is typed short */
  all: () => ShorthandByName;
  /** what one says on this page, as blocks of it; undefined: it cannot stand there */
  write: (shorthand: Kept) => object[] | undefined;
  /** all of it is to be seen, at the cursor */
  list: () => void;
  /** after one was unfolded by Tab: what asks for something in it is answered next. @param from, to where it stands */
  asked: (view: EditorView, from: number, to: number) => void;
  /** goes to what asks for something behind the cursor, where there is any */
  next: (view: EditorView) => boolean;
}

/** What stands for a thing among words. */
const THING = '\ufffc';

/** Characters turn into longer text when their word is ended by a space, Tab or Enter; undo brings them back. */
export const Shorthand = Extension.create<ShorthandOptions>({
  name: 'shorthand',
  // Before Enter ends a line, and Tab goes elsewhere.
  priority: 900,
  addOptions: () => ({
    all: () => new Map(),
    write: () => undefined,
    list: () => {},
    asked: () => {},
    next: () => false,
  }),
  addKeyboardShortcuts() {
    return { 'Mod-j': () => (this.options.list(), true) };
  },
  addProseMirrorPlugins() {
    const { options } = this;
    const plugin: Plugin<number | undefined> = new Plugin<number | undefined>({
      key: new PluginKey('shorthand'),
      // Where one was undone: whoever goes on behind its characters means them.
      state: {
        init: () => undefined,
        apply: (transaction, declined, _, state) => {
          if (!transaction.docChanged) return declined;
          const undone = transaction.getMeta('history$') as { redo: boolean } | undefined;
          return undone?.redo === false ? before(state, options)?.to : undefined;
        },
      },
      props: {
        handleTextInput: (view, from, to, text) => {
          if (from !== to || !/^[ \u00a0]$/.test(text)) return false;
          const found = before(view.state, options);
          if (!found || found.to === plugin.getState(view.state)) return false;
          // The space is typed first: what is undone is the unfolding alone.
          view.dispatch(view.state.tr.insertText(text, from));
          putShorthand(view, found, options);
          return true;
        },
        handleKeyDown: (view, event) => {
          const { key, isComposing } = event;
          if (isComposing || event.ctrlKey || event.metaKey || event.altKey) return false;
          if (key !== 'Enter' && (key !== 'Tab' || event.shiftKey)) return false;
          const found = before(view.state, options);
          if (!found && key === 'Tab') return options.next(view);
          if (!found || (key === 'Enter' && found.to === plugin.getState(view.state))) return false;
          if (key === 'Tab') {
            const put = putShorthand(view, found, options);
            if (put) options.asked(view, put.from, put.to);
            return put !== undefined;
          }
          // What Enter does there is done first, as with a space.
          const others = view.state.plugins.filter((one) => one !== plugin);
          const done = others.some((one) => one.props.handleKeyDown?.call(one, view, event));
          return putShorthand(view, found, options) !== undefined || done;
        },
      },
    });
    return [plugin];
  },
});

/** A shorthand that was typed, and where. */
interface Typed {
  shorthand: Kept;
  from: number;
  to: number;
}

/** The shorthand that stands before the cursor. */
function before(state: EditorState, { all }: ShorthandOptions): Typed | undefined {
  const { selection } = state;
  const { $from, empty } = selection;
  if (!empty || !$from.parent.isTextblock || $from.parent.type.spec.code) return undefined;
  const { parent, parentOffset, pos } = $from;
  const text = parent.textBetween(0, parentOffset, undefined, THING);
  const next = parent.textBetween(parentOffset, parent.content.size, undefined, THING);
  const found = shorthandBefore(text, next, all());
  return found && { shorthand: found.shorthand, from: pos - found.length, to: pos };
}

/** Puts what a shorthand says in the place of its characters, in one step that can be undone by itself. Gives where it stands. */
export function putShorthand(
  view: EditorView,
  { shorthand, from, to }: Typed,
  { write }: Pick<ShorthandOptions, 'write'>,
): { from: number; to: number } | undefined {
  const { state } = view;
  const blocks = write(shorthand)?.map((json) => state.schema.nodeFromJSON(json));
  if (!blocks?.length) return undefined;
  const place = state.doc.resolve(from);
  const transaction = closeHistory(state.tr);
  const [first] = blocks as [PageNode];
  const inLine =
    blocks.every(({ isTextblock }) => isTextblock) && (blocks.length === 1 || !mayEnd(place.parent));
  if (inLine) transaction.replaceWith(from, to, asLine(blocks, place.parent));
  else if (!mayEnd(place.parent)) return undefined;
  else transaction.replaceRange(from, to, Slice.maxOpen(Fragment.from(blocks)));
  if (!transaction.docChanged && first.content.size > 0) return undefined;
  const end = transaction.mapping.map(to);
  // A cursor that stands in what was put in goes behind it.
  if (state.selection.from <= to) transaction.setSelection(Selection.near(transaction.doc.resolve(end), -1));
  view.dispatch(transaction.scrollIntoView());
  return { from, to: end };
}

/** Whether a line may end in the middle, and another block stand behind it. */
function mayEnd({ type }: PageNode): boolean {
  return type.name === 'paragraph';
}

/** Lines as the content of one: of marks and things only what it may hold. */
function asLine(blocks: readonly PageNode[], line: PageNode): Fragment {
  const { schema } = line.type;
  const words: PageNode[] = [];
  blocks.forEach((block, i) => {
    if (i > 0) words.push(schema.text(' '));
    block.forEach((word) => {
      const may = line.type.contentMatch.matchType(word.type) !== null;
      if (may) words.push(word.mark(line.type.allowedMarks(word.marks)));
      else if (word.type.name === 'break') words.push(schema.text(' '));
    });
  });
  return Fragment.from(words);
}
