'use client';

import { useMemo, useState } from 'react';
import type { WordsFacts } from '../../../core/contract/templateWords';
import { readPassages } from '../../../core/fill/paths/scope';
import type { StartingKind } from '../../../core/records/recordKind';
import { schemaOf } from '../../../core/records/schema';
import { inKeys, inNames } from '../../../core/template/naming';
import { printMarkdown } from '../../../core/template/text/printMarkdown';
import { readPassage } from '../../../core/template/text/readTemplate';
import type { TemplatePage } from '../../editor/templateEditor';
import { PencilSheet } from '../pencil/PencilSheet';
import type { InView } from '../useInView';

interface Props {
  passageKey: string;
  text: string;
  startsFrom: StartingKind;
  facts: WordsFacts;
  view: InView;
  tools: HTMLElement | null;
  onType: (text: string) => void;
  onKeep: () => void;
  onReady: (flush: () => void) => void;
}

const NO_TURN = () => {};

/** A passage's words in pencil. */
export default function PassagePage({ passageKey, text, startsFrom, facts, onType, ...sheet }: Props) {
  // In itself a passage cannot stand.
  const others = useMemo(
    () => ({ ...facts, passages: facts.passages.filter(({ key }) => key !== passageKey) }),
    [facts, passageKey],
  );
  const context = useMemo(
    () => ({ schema: schemaOf({ business: facts.business }), passages: readPassages(others.passages) }),
    [facts, others],
  );
  const [shown, setShown] = useState<string>();
  const [page, setPage] = useState<TemplatePage>();
  if (text !== shown) {
    setShown(text);
    const { value } = readPassage(text, '', 'passage');
    if (value) setPage({ document: inKeys(value.document, facts) });
  }
  return (
    <PencilSheet
      {...sheet}
      name="Passage"
      active
      page={page}
      head={{ name: 'passage', group: '', startsFrom, subject: [] }}
      facts={others}
      context={context}
      onChange={({ document }) => {
        const printed = printMarkdown(inNames(document, facts));
        setShown(printed);
        onType(printed);
      }}
      onTurn={NO_TURN}
    >
      <p className="hint">Opening the page …</p>
    </PencilSheet>
  );
}
