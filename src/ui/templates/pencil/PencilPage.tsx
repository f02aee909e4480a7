'use client';

import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { createPortal } from 'react-dom';
import type { Line } from '../../../core/document/templateDocument';
import type { WordsFacts } from '../../../core/contract/templateWords';
import { FieldDesk } from '../../../core/fields/fieldDesk';
import { labelsOf, type Labels } from '../../../core/fill/describe/labels';
import { readPassages } from '../../../core/fill/paths/scope';
import { bookingWords } from '../../../core/records/bookingWords';
import type { StartingKind } from '../../../core/records/recordKind';
import { schemaOf } from '../../../core/records/schema';
import { inNames } from '../../../core/template/naming';
import type { Template } from '../../../core/template/template';
import { printTemplate } from '../../../core/template/text/printTemplate';
import { WritingDesk } from '../../../core/writing/writingDesk';
import { TemplateEditor, type Selected, type TemplatePage } from '../../editor/templateEditor';
import LookBar from '../../editor/LookBar';
import { putTag } from '../../editor/templateCommands';
import type { InView } from '../useInView';
import type { ReadWords } from '../useReading';
import { ChosenNote } from './ChosenNote';
import { FieldList } from './FieldList';
import { HeadForm } from './HeadForm';
import type { PencilTools, WantedField } from './pencilTools';
import { PutIn } from './PutIn';

interface Props {
  templateKey: string;
  reading: ReadWords | undefined;
  facts: WordsFacts;
  view: InView;
  /** whether this side of the template is looked at */
  active: boolean;
  /** where what can be put in is offered */
  tools: HTMLElement | null;
  /** words were written: they are given when there is a pause, and before anything is done with them */
  onType: (text: string) => void;
  onKeep: () => void;
  onTurn: () => void;
  /** gives how to hand over at once what was written last */
  onReady: (flush: () => void) => void;
  /** the page until it can be written on */
  children: ReactNode;
}

/** What was written is printed as text after so many milliseconds. */
const PAUSE = 150;

const NONE: Selected = { chosen: undefined, hasWords: false, inTable: false };

/** A template in pencil, written as a letter is: its fields by what they are called, each put in, changed and moved as one thing. */
export default function PencilPage(props: Props) {
  const { templateKey, reading, facts, view, active, tools, onType, onReady, children } = props;
  const [editor, setEditor] = useState<TemplateEditor>();
  const [{ chosen, hasWords, inTable }, setSelected] = useState(NONE);
  const [wanted, setWanted] = useState<WantedField>();
  const context = useMemo(
    () => ({ schema: schemaOf({ business: facts.business }), passages: readPassages(facts.passages) }),
    [facts],
  );
  const [known, setKnown] = useState<Template>();
  const [read, setRead] = useState<Template>();
  if (reading?.template && reading.template !== read) {
    setRead(reading.template);
    setKnown(reading.template);
  }
  /** what its head says, beside the subject that is on the page */
  const head = useRef<Template['head']>(undefined);
  const printNow = useRef(() => {});
  const printed = useRef<string>(undefined);
  const latest = useRef(props);
  useEffect(() => {
    latest.current = props;
    head.current = known?.head;
  });

  const fields = useFieldDesk(templateKey, known, facts, context, view);

  useEffect(() => {
    if (!reading?.template || editor) return;
    const { template: first } = reading;
    printed.current = reading.text;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const print = () => {
      clearTimeout(timer);
      timer = undefined;
      const { subject = [], document } = made.read();
      printed.current = printTemplate(inNames({ head: { ...head.current!, subject }, document }, facts));
      onType(printed.current);
    };
    const flush = () => {
      if (timer !== undefined) print();
    };
    const made = new TemplateEditor(pageOf(first), {
      name: 'Template',
      passages: new Map(facts.passages.map((passage) => [passage.key, passage])),
      labels: ({ subject = [], document }: TemplatePage) => {
        const ofPage = labelsOf({ head: { ...head.current!, subject }, document }, context);
        const ofPassages = facts.passages.map((passage) =>
          labelsOf({ head: { ...head.current!, subject: [] }, document: passage.document }, context),
        );
        return Object.assign({}, ...ofPassages, ofPage) as Labels;
      },
      changed: () => {
        clearTimeout(timer);
        timer = setTimeout(flush, PAUSE);
      },
      selected: setSelected,
      list: () => setWanted(wantedAt(made)),
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
    printNow.current = print;
    onReady(flush);
  }, [reading, editor, context, facts, onType, onReady]);

  useEffect(() => () => editor?.destroy(), [editor]);

  // What was changed elsewhere, in its words or by an older version, is shown here, too.
  useEffect(() => {
    if (!editor || !reading?.template || reading.text === printed.current) return;
    printed.current = reading.text;
    editor.show(pageOf(reading.template));
  }, [editor, reading]);

  const mount = useCallback(
    (holder: HTMLDivElement | null) => {
      if (holder && editor) holder.replaceChildren(editor.element);
    },
    [editor],
  );

  const close = useCallback(() => {
    setWanted(undefined);
    editor?.focus();
  }, [editor]);

  if (!editor) {
    if (reading && !reading.template && !known)
      return <p className="hint">The words have mistakes: see them below, and mend them under Words.</p>;
    return children;
  }
  const margin = document.getElementById('template-margin');
  const pencil: PencilTools = { fields, inView: inViewName(view), want: setWanted };
  const changeHead = (next: Template['head']) => {
    head.current = next;
    setKnown((now) => now && { ...now, head: next });
    editor.rename();
    printNow.current();
  };
  return (
    <>
      {known && (
        <HeadForm head={known.head} facts={facts} context={context} tools={pencil} onChange={changeHead} />
      )}
      <div ref={mount} />
      {active && hasWords && createPortal(<LookBar editor={editor.editor} link={lineOf} />, document.body)}
      {active &&
        tools &&
        createPortal(
          <PutIn
            editor={editor}
            facts={facts}
            tools={pencil}
            inTable={inTable}
            onField={() => setWanted(wantedAt(editor))}
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
        chosen &&
        margin &&
        createPortal(
          <ChosenNote
            editor={editor}
            chosen={chosen}
            facts={facts}
            tools={pencil}
            onClose={() => {
              editor.editor.commands.setTextSelection(chosen.at + 1);
              editor.focus();
            }}
          />,
          margin,
        )}
    </>
  );
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

function pageOf({ head, document }: Template): TemplatePage {
  return { subject: head.subject, document };
}

function inViewName({ starts, start }: InView): string | undefined {
  return starts?.find(({ key }) => key === start)?.name;
}

function useFieldDesk(
  key: string,
  template: Template | undefined,
  facts: WordsFacts,
  context: ConstructorParameters<typeof FieldDesk>[1],
  { facts: writing, start }: InView,
): FieldDesk {
  const head = template?.head;
  // What the head says of a letter in general tells which fields there are; its words do not.
  const { startsFrom = 'client', language, writtenTo, from } = head ?? {};
  return useMemo(() => {
    const plain = { name: '', group: '', startsFrom, subject: [], language, writtenTo, from };
    const bare = JSON.parse(JSON.stringify(plain)) as Template['head'];
    const titles = { booking: bookingWords(facts.business.booking_label).booking };
    if (typeof writing !== 'object' || start === undefined) return new FieldDesk(bare, context, titles);
    const desk = new WritingDesk({
      ...writing,
      passages: facts.passages,
      signatures: facts.signatures,
      templates: [{ head: bare, document: { type: 'doc', content: [] }, key, version: 0 }],
    });
    const situation = desk.situation({ kind: startsFrom as StartingKind, key: start }, { template: key });
    return new FieldDesk(bare, context, titles, situation);
  }, [key, startsFrom, language, writtenTo, from, facts, context, writing, start]);
}
