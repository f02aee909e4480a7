'use client';

import { useId, useMemo, useRef, useState } from 'react';
import { createPortal } from 'react-dom';
import Form from 'react-bootstrap/Form';
import type { WordsFacts } from '../../core/contract/templateWords';
import type { StartingKind } from '../../core/records/recordKind';
import { withArticle } from '../../core/fill/formats/article';
import { bookingWords } from '../../core/records/bookingWords';
import { marginGroups } from '../../core/writing/marginGroups';
import { marginOf } from '../../core/writing/marginOf';
import { WritingDesk, type FilledLetter } from '../../core/writing/writingDesk';
import { CopyBlocks } from '../document/CopyBlocks';
import { Margin } from '../margin/Margin';
import type { InView } from './useInView';
import type { ReadWords } from './useReading';

interface Props {
  templateKey: string;
  startsFrom: string;
  /** the words as they were read */
  reading: ReadWords | undefined;
  facts: WordsFacts;
  view: InView;
}

/** The template filled for a real record, beside its margin: to be looked at, not sent. */
export function InkSide({ templateKey, startsFrom, reading, facts, view }: Props) {
  const { starts, wanted, find, start, choose } = view;
  const [chosen, setChosen] = useState<string>();
  const page = useRef<HTMLDivElement>(null);
  const [findId, listId] = [useId(), useId()];
  const called = startsFrom === 'booking' ? bookingWords(facts.business.booking_label).booking : startsFrom;
  const filled = useMemo(
    () => fill(templateKey, startsFrom as StartingKind, reading, facts, view.start, view.facts),
    [templateKey, startsFrom, reading, facts, view.start, view.facts],
  );

  const margin = typeof document === 'undefined' ? null : document.getElementById('template-margin');
  return (
    <>
      <div className="ink-for">
        <Form.Label htmlFor={findId}>Filled for</Form.Label>
        <Form.Control
          id={findId}
          type="search"
          placeholder={`Find ${withArticle(called)}`}
          value={wanted}
          onChange={(event) => find(event.target.value)}
        />
        <Form.Select
          id={listId}
          aria-label="Record"
          value={start ?? ''}
          onChange={(event) => choose(event.target.value)}
        >
          {starts?.map(({ key, name, day, note }) => (
            <option key={key} value={key}>
              {[name, day, note].filter(Boolean).join(', ')}
            </option>
          ))}
        </Form.Select>
      </div>
      {filled === undefined && starts?.length !== 0 && (
        <p className="hint" role="status">
          Filling …
        </p>
      )}
      {starts?.length === 0 && <p className="hint">No record has these words.</p>}
      {typeof filled === 'string' && <p className="hint needs-you">{filled}</p>}
      {filled && typeof filled === 'object' && (
        <>
          <div ref={page} className="letter-body copy">
            <CopyBlocks nodes={filled.document.content} onChoose={setChosen} />
          </div>
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
    templates: [{ ...reading.template, key, version: 0 }],
  });
  return desk.fill({ kind, key: start }, { template: key, answers: {} }) ?? 'This template cannot be filled.';
}
