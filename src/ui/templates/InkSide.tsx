'use client';

import { useDeferredValue, useEffect, useId, useRef, useState } from 'react';
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
import type { ListEntry, ListPage } from '../../core/contract/list';
import { askForFacts } from '../writing/askForFacts';
import { askServer } from '../writing/askServer';
import { readWords } from './readWords';

interface Props {
  templateKey: string;
  startsFrom: string;
  /** the words as they stand, kept or not */
  text: string;
  facts: WordsFacts;
}

/** The template filled for a real record, beside its margin: to be looked at, not sent. */
export function InkSide({ templateKey, startsFrom, text, facts }: Props) {
  const [starts, setStarts] = useState<ListEntry[]>();
  const [wanted, setWanted] = useState('');
  const [start, setStart] = useState<string>();
  const [filled, setFilled] = useState<FilledLetter | string>();
  const [chosen, setChosen] = useState<string>();
  const find = useDeferredValue(wanted);
  const page = useRef<HTMLDivElement>(null);
  const [findId, listId] = [useId(), useId()];
  const called = startsFrom === 'booking' ? bookingWords(facts.business.booking_label).booking : startsFrom;

  useEffect(() => {
    let latest = true;
    void askServer<ListPage>(
      `/api/lists/${startsFrom}${find.trim() ? `?find=${encodeURIComponent(find)}` : ''}`,
    ).then((answer) => {
      if (!latest) return;
      if ('offline' in answer || answer.status !== 200) return setFilled('The records could not be fetched.');
      const { entries } = answer.body;
      setStarts(entries);
      setStart((now) => (entries.some(({ key }) => key === now) ? now : entries[0]?.key));
    });
    return () => {
      latest = false;
    };
  }, [startsFrom, find]);

  useEffect(() => {
    if (start === undefined) return;
    let latest = true;
    void fill(templateKey, { kind: startsFrom as StartingKind, key: start }, text, facts).then(
      (result) => latest && setFilled(result),
    );
    return () => {
      latest = false;
    };
  }, [templateKey, startsFrom, start, text, facts]);

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
          onChange={(event) => setWanted(event.target.value)}
        />
        <Form.Select
          id={listId}
          aria-label="Record"
          value={start ?? ''}
          onChange={(event) => setStart(event.target.value)}
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

/** Gives the filled letter, or why there is none. */
async function fill(
  key: string,
  start: { kind: StartingKind; key: string },
  text: string,
  facts: WordsFacts,
): Promise<FilledLetter | string> {
  const [answer, reading] = await Promise.all([
    askForFacts(`${start.kind}:${start.key}`),
    readWords(text, facts),
  ]);
  if ('offline' in answer) return 'There is no connection.';
  if (answer.status === 404) return 'This record is no longer there.';
  if (answer.status !== 200) return 'The server cannot fill it at the moment. Try again.';
  if (!reading.template) return 'The words have mistakes: see them under Words.';
  const desk = new WritingDesk({
    ...answer.body,
    passages: facts.passages,
    signatures: facts.signatures,
    templates: [{ ...reading.template, key, version: 0 }],
  });
  return desk.fill(start, { template: key, answers: {} }) ?? 'This template cannot be filled.';
}
