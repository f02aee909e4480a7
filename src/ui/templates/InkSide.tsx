'use client';

import { useMemo, useRef, useState } from 'react';
import { createPortal } from 'react-dom';
import type { WordsFacts } from '../../core/contract/templateWords';
import type { StartingKind } from '../../core/records/recordKind';
import { writeCopy } from '../../core/fairCopy/writeCopy';
import { marginGroups } from '../../core/writing/marginGroups';
import { marginOf } from '../../core/writing/marginOf';
import { WritingDesk, type FilledLetter } from '../../core/writing/writingDesk';
import { LetterheadAround } from '../document/LetterheadAround';
import { CopyBlocks } from '../document/CopyBlocks';
import { Margin } from '../margin/Margin';
import { SendTrial } from './SendTrial';
import type { InView } from './useInView';
import type { ReadWords } from './useReading';

interface Props {
  templateKey: string;
  startsFrom: string;
  /** the words as they were read */
  reading: ReadWords | undefined;
  facts: WordsFacts;
  view: InView;
  /** its words as they stand, to be tried out */
  text: string;
}

/** The template filled for a real record, beside its margin: to be looked at, not sent. */
export function InkSide({ templateKey, startsFrom, reading, facts, view, text }: Props) {
  const { starts } = view;
  const [chosen, setChosen] = useState<string>();
  const page = useRef<HTMLDivElement>(null);
  const filled = useMemo(
    () => fill(templateKey, startsFrom as StartingKind, reading, facts, view.start, view.facts),
    [templateKey, startsFrom, reading, facts, view.start, view.facts],
  );

  const margin = typeof document === 'undefined' ? null : document.getElementById('template-margin');
  return (
    <>
      {filled === undefined && starts?.length !== 0 && (
        <p className="hint" role="status">
          Filling …
        </p>
      )}
      {typeof filled === 'string' && <p className="hint needs-you">{filled}</p>}
      {filled && typeof filled === 'object' && (
        <>
          <LetterheadAround part={filled.around?.top} />
          <div ref={page} className="letter-body copy">
            <CopyBlocks nodes={filled.document.content} onChoose={setChosen} />
          </div>
          <LetterheadAround part={filled.around?.foot} />
          {view.start !== undefined && (
            <SendTrial
              templateKey={templateKey}
              from={`${startsFrom}:${view.start}`}
              text={text}
              members={facts.members}
            />
          )}
          <HtmlAsItGoes letter={filled} />
          {margin &&
            createPortal(
              <Margin
                groups={marginGroups(marginOf(filled.document, filled), filled)}
                chosen={chosen}
                onChoose={setChosen}
                page={page}
              />,
              margin,
            )}
        </>
      )}
    </>
  );
}

/** The HTML that a mail reader gets, written out once it is asked for. */
function HtmlAsItGoes({ letter }: { letter: FilledLetter }) {
  const [open, setOpen] = useState(false);
  return (
    <details className="holes" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>Its HTML, as it goes</summary>
      {open && (
        <pre className="words-area" tabIndex={0} aria-label="HTML">
          {writeCopy(letter.document, letter.around).html}
        </pre>
      )}
    </details>
  );
}

/** Gives the filled letter, or why there is none; undefined while what it needs is on its way. */
function fill(
  key: string,
  kind: StartingKind,
  reading: ReadWords | undefined,
  facts: WordsFacts,
  start: string | undefined,
  writing: InView['facts'],
): FilledLetter | string | undefined {
  if (!reading || start === undefined || writing === undefined) return undefined;
  if (typeof writing === 'string') return writing;
  if (!reading.template) return 'The words have mistakes: see them below.';
  const desk = new WritingDesk({
    ...writing,
    passages: facts.passages,
    signatures: facts.signatures,
    letterhead: facts.letterhead,
    files: facts.files,
    templates: [{ ...reading.template, key, version: 0 }],
  });
  return desk.fill({ kind, key: start }, { template: key, answers: {} }) ?? 'This template cannot be filled.';
}
