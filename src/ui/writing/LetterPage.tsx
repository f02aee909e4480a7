'use client';

import {
  lazy,
  Suspense,
  useCallback,
  useEffect,
  useRef,
  useState,
  useSyncExternalStore,
  type RefObject,
} from 'react';
import { createPortal } from 'react-dom';
import type { CursorPlace } from '../editor/AtCursor';
import type { LetterEditor } from '../editor/letterEditor';
import { LeftOut } from '../editor/LeftOut';
import { CopyBlocks } from '../document/CopyBlocks';
import { afterPaint } from '../shell/afterPaint';
import type { LetterStore } from './letterStore';
import type { LetterView } from './letterView';

/** The bar of looks comes when words are first selected. */
const LookBar = lazy(() => import('../editor/LookBar'));

const UnderLetter = lazy(() => import('./UnderLetter'));

/** An address as a letter's link has it. */
const asItIs = (address: string) => address;

interface Props {
  store: LetterStore;
  view: LetterView;
  chosen: string | undefined;
  onChoose: (id: string) => void;
  onSend: (andNext: boolean) => void;
  page: RefObject<HTMLDivElement | null>;
  /** the letter has gone: it can be read, not changed */
  closed: boolean;
}

/**
 * The letter on the page. It is drawn at once; the editor is fetched behind it and takes its place, so that the first
 * letter is read before the editor's script has come.
 */
export function LetterPage({ store, view, chosen, onChoose, onSend, page, closed }: Props) {
  const [editor, setEditor] = useState<LetterEditor>();
  const [hasWords, setHasWords] = useState(false);
  const [leftOut, setLeftOut] = useState<readonly string[]>([]);
  /** where all shorthand is shown */
  const [listAt, setListAt] = useState<CursorPlace>();
  const [whyNot, setWhyNot] = useState<string>();
  const callbacks = useRef({ onChoose, onSend });
  useEffect(() => {
    callbacks.current = { onChoose, onSend };
  });

  useEffect(() => {
    if (closed) return;
    let gone = false;
    let made: LetterEditor | undefined;
    let detach: (() => void) | undefined;
    // The letter is painted first, then the editor is fetched.
    const callOff = afterPaint(async () => {
      const [{ LetterEditor: Editor }, { ownQuestions, shorthandOf }] = await Promise.all([
        import('../editor/letterEditor'),
        import('./shorthandOf'),
      ]);
      const now = store.now();
      if (gone || !now) return;
      made = new Editor(now, {
        changed: store.typed,
        send: (andNext) => callbacks.current.onSend(andNext),
        choose: (id) => callbacks.current.onChoose(id),
        ...ownQuestions(store),
        answered: (rest) => nextQuestion(made!.element, rest),
        shorthand: { ...shorthandOf(store, setWhyNot), list: () => setListAt(made!.cursor()) },
        selected: setHasWords,
        leftOut: setLeftOut,
      });
      detach = store.attach({
        read: () => made!.read(),
        show: (letter) => made!.show(letter),
        caret: () => made!.caret(),
        goTo: (place) => made!.goTo(place),
      });
      setEditor(made);
    });
    return () => {
      gone = true;
      callOff();
      detach?.();
      made?.destroy();
      setEditor(undefined);
    };
  }, [store, closed]);

  const note = view.notes.find(({ ids }) => chosen !== undefined && ids.includes(chosen));
  // What counts is which places, not which array.
  const places = JSON.stringify(note?.ids ?? []);
  useEffect(() => {
    editor?.choose(new Set(JSON.parse(places) as string[]));
  }, [editor, places]);

  const mount = useCallback(
    (holder: HTMLDivElement | null) => {
      if (holder && editor) holder.replaceChildren(editor.element);
    },
    [editor],
  );

  return (
    <div ref={page} className="letter-holder">
      {editor ? (
        <>
          <div key="editor" ref={mount} />
          <LeftOut what={leftOut} onRead={() => setLeftOut([])} />
          <Suspense>
            <UnderLetter store={store} editor={editor} at={listAt} onAt={setListAt} whyNot={whyNot} />
          </Suspense>
          {hasWords && (
            <Suspense>
              {createPortal(<LookBar editor={editor.editor} link={asItIs} />, document.body)}
            </Suspense>
          )}
        </>
      ) : (
        <div key="read" className="letter-body copy" data-ready={closed ? 'closed' : 'reading'}>
          <CopyBlocks nodes={store.document()?.content ?? []} onChoose={onChoose} />
        </div>
      )}
    </div>
  );
}

/** After an answer the next question is asked, behind it or else from the top; when there is none, the page is written on. */
function nextQuestion(page: HTMLElement, rest: readonly HTMLElement[]): void {
  const next = rest.find((one) => page.contains(one)) ?? page.querySelector<HTMLElement>('.hole *');
  (next ?? page).focus();
}

export function useLetter(store: LetterStore): LetterView | undefined {
  return useSyncExternalStore(store.subscribe, store.snapshot, store.snapshot);
}
