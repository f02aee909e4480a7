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
import type { PageKind } from '../../editor/pageKind';
import { PencilSheet } from '../pencil/PencilSheet';
import type { InView } from '../useInView';

export interface NamedPageProps {
  kind: Exclude<PageKind, 'template'>;
  text: string;
  startsFrom: StartingKind;
  /** what may stand in it */
  facts: WordsFacts;
  view: InView;
  tools: HTMLElement | null;
  onType: (text: string) => void;
  onKeep: () => void;
  onReady: (flush: () => void) => void;
}

const NAMES = {
  passage: 'Passage',
  signature: 'Signature',
  letterhead: 'Letterhead',
  shorthand: 'Shorthand',
} as const;
const NO_TURN = () => {};

/** The words of a passage, or of a signature, in pencil. */
export default function NamedPage({ kind, text, startsFrom, facts, onType, ...sheet }: NamedPageProps) {
  const context = useMemo(
    () => ({ schema: schemaOf({ business: facts.business }), passages: readPassages(facts.passages) }),
    [facts],
  );
  const [shown, setShown] = useState<string>();
  const [page, setPage] = useState<TemplatePage>();
  if (text !== shown) {
    setShown(text);
    const { value } = readPassage(text, '', kind);
    if (value) setPage({ document: inKeys(value.document, facts) });
  }
  return (
    <PencilSheet
      {...sheet}
      kind={kind}
      name={NAMES[kind]}
      active
      page={page}
      head={{ name: kind, group: '', startsFrom, subject: [] }}
      facts={facts}
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
