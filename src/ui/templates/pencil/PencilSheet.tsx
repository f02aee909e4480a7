'use client';

import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { createPortal } from 'react-dom';
import type { Line } from '../../../core/document/templateDocument';
import type { WordsFacts } from '../../../core/contract/templateWords';
import { FieldDesk } from '../../../core/fields/fieldDesk';
import type { CompileContext } from '../../../core/fill/compile/newScope';
import { labelsOf, type Labels } from '../../../core/fill/describe/labels';
import { bookingWords } from '../../../core/records/bookingWords';
import { shorthandByName } from '../../../core/shorthand/shorthandBefore';
import type { StartingKind } from '../../../core/records/recordKind';
import type { Shorthand, TemplateHead } from '../../../core/template/template';
import { WritingDesk } from '../../../core/writing/writingDesk';
import { TemplateEditor, type Selected, type TemplatePage } from '../../editor/templateEditor';
import type { CursorPlace } from '../../editor/AtCursor';
import LookBar from '../../editor/LookBar';
import ShorthandChoice from '../../editor/ShorthandChoice';
import type { PageKind } from '../../editor/pageKind';
import { LeftOut } from '../../editor/LeftOut';
import { putTag } from '../../editor/templateCommands';
import type { InView } from '../useInView';
import { BEGIN } from '../begin';
import { BringingList } from '../../files/BringingList';
import { useBringingPictures } from '../pictures/useBringingPictures';
import { ChosenNote } from './ChosenNote';
import { FieldList } from './FieldList';
import type { PencilTools, WantedField } from './pencilTools';
import { PutIn } from './PutIn';

interface Props {
  kind: PageKind;
  /** what the page is called to whoever cannot see it */
  name: string;
  /** what it says; another one, where it was changed elsewhere, is shown in its place */
  page: TemplatePage | undefined;
  /** what its fields are judged and shown by */
  head: TemplateHead;
  facts: WordsFacts;
  context: CompileContext;
  view: InView;
  /** whether it is looked at */
  active: boolean;
  /** where what can be put in is offered */
  tools: HTMLElement | null;
  /** what was written is given when there is a pause, and before anything is done with it */
  onChange: (page: TemplatePage) => void;
  onKeep: () => void;
  onTurn: () => void;
  /** gives how to hand over at once what was written last */
  onReady: (flush: () => void) => void;
  /** what stands above the page */
  above?: (tools: PencilTools) => ReactNode;
  /** the page until it can be written on */
  children: ReactNode;
}

/** What can be done first in the note of what is chosen. */
const NOTE_CONTROLS = ['input', 'select', 'textarea', 'button', 'a']
  .map((control) => `#template-margin .note-open ${control}`)
  .join(', ');

/** What was written is handed over after so many milliseconds. */
const PAUSE = 150;

const NO_SHORTHAND: readonly Shorthand[] = [];

const NONE: Selected = { chosen: undefined, hasWords: false, inTable: false };

/** A page in pencil, written as a letter is: its fields by what they are called, each put in, changed and moved as one thing. */
export function PencilSheet(props: Props) {
  const { kind, name, page, head, facts, context, view, active, tools, onReady, above, children } = props;
  const [editor, setEditor] = useState<TemplateEditor>();
  const [{ chosen, hasWords, inTable }, setSelected] = useState(NONE);
  const [wanted, setWanted] = useState<WantedField>();
  const { bringing, bring } = useBringingPictures();
  const [leftOut, setLeftOut] = useState<readonly string[]>([]);
  /** where all shorthand is shown */
  const [shortAt, setShortAt] = useState<CursorPlace>();
  const shown = useRef(page);
  const latest = useRef(props);
  useEffect(() => {
    latest.current = props;
  });
  const fields = useFieldDesk(head, facts, context, view);

  useEffect(() => {
    if (!page || editor) return;
    shown.current = page;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const flush = () => {
      if (timer === undefined) return;
      clearTimeout(timer);
      timer = undefined;
      latest.current.onChange(made.read());
    };
    const typedShort = shorthandByName(facts.shorthand ?? []);
    const made = new TemplateEditor(page, {
      name,
      passages: new Map(facts.passages.map((passage) => [passage.key, passage])),
      labels: ({ subject = [], document }: TemplatePage) => {
        const labels = (words: TemplatePage['document'], line: Line) =>
          labelsOf({ head: { ...latest.current.head, subject: line }, document: words }, context);
        const ofPassages = facts.passages.map((passage) => labels(passage.document, []));
        return Object.assign({}, ...ofPassages, labels(document, subject)) as Labels;
      },
      changed: () => {
        clearTimeout(timer);
        timer = setTimeout(flush, PAUSE);
      },
      // With most keys nothing else is selected: the page's parts are not drawn anew for them.
      selected: (next) => setSelected((now) => (isSame(now, next) ? now : next)),
      list: () => setWanted(wantedAt(made)),
      note: () => document.querySelector<HTMLElement>(NOTE_CONTROLS)?.focus(),
      shorthand: { all: () => typedShort, list: () => setShortAt(made.cursor()) },
      bring: (file, at) => bring(made, file, at),
      leftOut: setLeftOut,
      keep: () => {
        flush();
        latest.current.onKeep();
      },
      turn: () => {
        flush();
        latest.current.onTurn();
      },
    });
    setEditor(made);
    onReady(flush);
  }, [page, editor, context, facts, name, onReady, bring]);

  useEffect(() => () => editor?.destroy(), [editor]);

  useEffect(() => {
    if (!editor || !page || page === shown.current) return;
    shown.current = page;
    editor.show(page);
  }, [editor, page]);

  // What a field is called depends on what the page starts from.
  useEffect(() => editor?.rename(), [editor, head.startsFrom, head.language]);

  const mount = useCallback(
    (holder: HTMLDivElement | null) => {
      if (!holder || !editor) return;
      holder.replaceChildren(editor.element);
      if (window.location.hash !== BEGIN) return;
      // Once: whoever loads the page again goes on where they like.
      window.history.replaceState(window.history.state, '', window.location.pathname);
      editor.begin();
    },
    [editor],
  );

  const close = useCallback(() => {
    setWanted(undefined);
    setShortAt(undefined);
    editor?.focus();
  }, [editor]);

  if (!editor) return children;
  const margin = document.getElementById('template-margin');
  const pencil: PencilTools = { fields, inView: inViewName(view), want: setWanted };
  return (
    <>
      {above?.(pencil)}
      <div ref={mount} />
      <LeftOut what={leftOut} onRead={() => setLeftOut([])} />
      <BringingList what="Pictures" bringing={bringing} />
      {active &&
        hasWords &&
        createPortal(
          <LookBar editor={editor.editor} link={lineOf} linesOnly={kind === 'signature'} />,
          document.body,
        )}
      {active &&
        tools &&
        createPortal(
          <PutIn
            editor={editor}
            facts={facts}
            tools={pencil}
            kind={kind}
            inTable={inTable}
            onPicture={(file) => bring(editor, file, editor.editor.state.selection.to)}
            onField={() => setWanted(wantedAt(editor))}
            onShorthand={() => setShortAt(editor.cursor())}
          />,
          tools,
        )}
      {active &&
        wanted &&
        createPortal(
          <FieldList
            groups={fields.fieldsAt(wanted.around)}
            says={({ path }) => fields.says({ path, steps: [] }, wanted.around)}
            at={wanted.at}
            {...(wanted.fits ? { fits: wanted.fits } : {})}
            onChoose={(field) => {
              wanted.then(field);
              close();
            }}
            onClose={close}
          />,
          document.body,
        )}
      {active &&
        shortAt &&
        createPortal(
          <ShorthandChoice
            all={facts.shorthand ?? NO_SHORTHAND}
            startsFrom={head.startsFrom}
            context={context}
            passages={facts.passages}
            at={shortAt}
            onChoose={(shorthand) => {
              setShortAt(undefined);
              editor.putShorthand(shorthand);
            }}
            onClose={close}
          />,
          document.body,
        )}
      {active &&
        chosen &&
        margin &&
        createPortal(
          <ChosenNote
            editor={editor}
            chosen={chosen}
            facts={facts}
            tools={pencil}
            onClose={() => editor.leave()}
          />,
          margin,
        )}
    </>
  );
}

function isSame(a: Selected, b: Selected): boolean {
  return !a.chosen && !b.chosen && a.hasWords === b.hasWords && a.inTable === b.inTable;
}

/** An address as a template's link has it. */
function lineOf(address: string): Line {
  return [{ type: 'text', text: address }];
}

/** A field is wanted where the cursor is. */
function wantedAt(editor: TemplateEditor): WantedField {
  return {
    at: editor.cursor(),
    around: editor.around(),
    then: ({ path }) => putTag(editor.editor, { type: 'field', attrs: { path, steps: [] } }),
  };
}

function inViewName({ starts, start }: InView): string | undefined {
  return starts?.find(({ key }) => key === start)?.name;
}

/** What is said of the fields of a page for the record in view. */
function useFieldDesk(
  { startsFrom, language, writtenTo, from }: TemplateHead,
  facts: WordsFacts,
  context: CompileContext,
  { facts: writing, start }: InView,
): FieldDesk {
  // What the head says of letters in general tells which fields there are; its words do not.
  return useMemo(() => {
    const plain = { name: '', group: '', startsFrom, subject: [], language, writtenTo, from };
    const bare = JSON.parse(JSON.stringify(plain)) as TemplateHead;
    const titles = { booking: bookingWords(facts.business.booking_label).booking };
    if (typeof writing !== 'object' || start === undefined) return new FieldDesk(bare, context, titles);
    const desk = new WritingDesk({
      ...writing,
      passages: facts.passages,
      signatures: facts.signatures,
      templates: [{ head: bare, document: { type: 'doc', content: [] }, key: '', version: 0 }],
    });
    const situation = desk.situation({ kind: startsFrom as StartingKind, key: start }, { template: '' });
    return new FieldDesk(bare, context, titles, situation);
  }, [startsFrom, language, writtenTo, from, facts, context, writing, start]);
}
