'use client';

import { useEffect, useRef, useState } from 'react';
import type { AskRecognise, LetterForTemplate, ToldRecognised } from '../../../core/contract/fromLetter';
import type { WordsFacts } from '../../../core/contract/templateWords';
import type { LetterText } from '../../../core/recognise/letterText';
import type { StartingKind } from '../../../core/records/recordKind';
import { startBeside } from '../../beside/startBeside';
import { askForFacts } from '../../writing/askForFacts';

const FAILED = 'The letter could not be looked through.';

/** A worker that finds facts in letters, ready for those that start from a kind of record. */
export function recogniser({ business, signatures }: WordsFacts, startsFrom: StartingKind): Worker {
  const worker = startBeside('recognise');
  worker.postMessage({ business, signatures, startsFrom } satisfies AskRecognise);
  return worker;
}

/**
 * Finds the client’s facts in a letter, in a worker, as they were when it was written.
 * @returns undefined until they are found; `failed` says why they are not
 */
export function useRecognised(
  { start, at, member }: LetterForTemplate,
  { text, links, listed }: LetterText,
  words: WordsFacts,
): { told: ToldRecognised | undefined; again: () => void } {
  const [told, setTold] = useState<ToldRecognised>();
  const [tries, setTries] = useState(0);
  const given = useRef(words);
  const { kind, key } = start;
  useEffect(() => {
    let latest = true;
    const tell = (found: ToldRecognised) => latest && setTold(found);
    // It makes ready while the records are fetched.
    const worker = recogniser(given.current, kind);
    worker.onmessage = ({ data }: MessageEvent<ToldRecognised>) => tell(data);
    worker.onerror = () => tell({ failed: FAILED });
    void askForFacts(`${kind}:${key}`).then((answer) => {
      if (!latest) return;
      if ('offline' in answer) return tell({ failed: 'There is no connection.' });
      if (answer.status !== 200 || !answer.list)
        return tell({
          failed:
            answer.status === 404
              ? 'The record that it was written from is no longer there.'
              : 'The server cannot tell the client’s facts at the moment.',
        });
      const { body, list } = answer;
      worker.postMessage({
        records: {
          facts: { ...body, now: at, member, templates: [], passages: [], signatures: list.signatures },
          phones: body.phones,
          start: { kind, key },
        },
        letter: { text, links, listed },
      } satisfies AskRecognise);
    });
    return () => {
      latest = false;
      worker.terminate();
    };
  }, [kind, key, at, member, text, links, listed, tries]);
  return {
    told,
    again: () => {
      setTold(undefined);
      setTries((before) => before + 1);
    },
  };
}
