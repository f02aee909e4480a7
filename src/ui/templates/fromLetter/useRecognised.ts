'use client';

import { useEffect, useState } from 'react';
import type { LetterForTemplate, ToldRecognised } from '../../../core/contract/fromLetter';
import type { LetterText } from '../../../core/recognise/letterText';
import { askForFacts } from '../../writing/askForFacts';

/**
 * Finds the client’s facts in a letter, in a worker, as they were when it was written.
 * @returns undefined until they are found; `failed` says why they are not
 */
export function useRecognised(
  { start, at, member }: LetterForTemplate,
  { text, links, listed }: LetterText,
): { told: ToldRecognised | undefined; again: () => void } {
  const [told, setTold] = useState<ToldRecognised>();
  const [tries, setTries] = useState(0);
  const { kind, key } = start;
  useEffect(() => {
    let worker: Worker | undefined;
    let latest = true;
    const tell = (found: ToldRecognised) => latest && setTold(found);
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
      worker = new Worker(new URL('./recognise.worker.ts', import.meta.url));
      worker.onmessage = ({ data }: MessageEvent<ToldRecognised>) => tell(data);
      worker.onerror = () => tell({ failed: 'The letter could not be looked through.' });
      const { body, list } = answer;
      worker.postMessage({
        facts: { ...body, now: at, member, templates: [], passages: [], signatures: list.signatures },
        phones: body.phones,
        start: { kind, key },
        letter: { text, links, listed },
      });
    });
    return () => {
      latest = false;
      worker?.terminate();
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
