'use client';

import { useMemo, useState, type ReactNode } from 'react';
import type { WordsFacts } from '../../../core/contract/templateWords';
import { readPassages } from '../../../core/fill/paths/scope';
import { schemaOf } from '../../../core/records/schema';
import { inNames } from '../../../core/template/naming';
import type { Called, Template } from '../../../core/template/template';
import { printTemplate } from '../../../core/template/text/printTemplate';
import type { TemplatePage } from '../../editor/templateEditor';
import type { InView } from '../useInView';
import type { ReadWords } from '../useReading';
import { HeadForm } from './HeadForm';
import { PencilSheet } from './PencilSheet';

interface Props {
  /** its words as they stand */
  text: string;
  reading: ReadWords | undefined;
  facts: WordsFacts;
  view: InView;
  /** whether this side of the template is looked at */
  active: boolean;
  /** where what can be put in is offered */
  tools: HTMLElement | null;
  /** a group was made while choosing one */
  onGroup: (group: Called) => void;
  onType: (text: string) => void;
  onKeep: () => void;
  onTurn: () => void;
  /** gives how to hand over at once what was written last */
  onReady: (flush: () => void) => void;
  /** the page until it can be written on */
  children: ReactNode;
}

/** A template in pencil: its head by choices, its page as it is written; what is changed is its text. */
export default function PencilPage({ text, reading, facts, onGroup, onType, children, ...sheet }: Props) {
  const context = useMemo(
    () => ({ schema: schemaOf({ business: facts.business }), passages: readPassages(facts.passages) }),
    [facts],
  );
  /** the template as it stands, what is being written aside */
  const [known, setKnown] = useState<Template>();
  const [page, setPage] = useState<TemplatePage>();
  const [read, setRead] = useState<ReadWords>();
  const [printed, setPrinted] = useState<string>();
  // What was read of words that are changed by now says nothing any more.
  if (reading?.template && reading !== read && reading.text === text) {
    setRead(reading);
    setKnown(reading.template);
    // What was changed elsewhere, in its words or by an older version, is shown on the page.
    if (reading.text !== printed)
      setPage({ subject: reading.template.head.subject, document: reading.template.document });
  }

  const print = (template: Template) => {
    const next = printTemplate(inNames(template, facts));
    setPrinted(next);
    setKnown(template);
    onType(next);
  };

  // Words that were changed under Words and cannot be read are not on the page: written on, it would take their place.
  const isElsewhere = reading?.text === text && !reading.template && text !== printed;
  if (!known || isElsewhere) {
    if (!reading) return children;
    return <p className="hint">The words have mistakes: see them below, and mend them under Words.</p>;
  }
  return (
    <PencilSheet
      {...sheet}
      kind="template"
      name="Template"
      page={page}
      head={known.head}
      facts={facts}
      context={context}
      onChange={({ subject = [], document }) => print({ head: { ...known.head, subject }, document })}
      above={(tools) => (
        <HeadForm
          head={known.head}
          facts={facts}
          context={context}
          tools={tools}
          onGroup={onGroup}
          onChange={(head) => print({ ...known, head })}
        />
      )}
    >
      {children}
    </PencilSheet>
  );
}
