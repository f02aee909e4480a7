'use client';

import { useState } from 'react';
import type { ProofMark } from '../../core/proof/proofMark';
import type { LetterStore } from './letterStore';

interface Props {
  marks: readonly ProofMark[];
  store: LetterStore;
  /** goes to the place that a mark is about */
  onGo: (hole: string) => void;
}

/** So many are shown; the others come up as these are dealt with. */
const MOST = 4;

/** What the proof says of the letter, each with its cure; on a phone one at a time, unless all are asked for. */
export function ProofMarks({ marks, store, onGo }: Props) {
  const [all, setAll] = useState(false);
  if (marks.length === 0) return null;
  return (
    <ul className={`proof-marks ${all ? 'all-marks' : ''}`} aria-label="Proof">
      {marks.slice(0, MOST).map((mark) => (
        <li key={mark.id} className={mark.kind === 'stop' ? 'mark-stop' : 'mark-query'}>
          <b>{mark.kind === 'stop' ? 'Stop' : 'Query'}</b> {mark.message} <Cure {...{ mark, store, onGo }} />
        </li>
      ))}
      {marks.length > MOST && <li>{marks.length - MOST} more.</li>}
      {marks.length > 1 && (
        <li className="more-marks">
          <button
            type="button"
            className="btn btn-link"
            aria-expanded={all}
            onClick={() => setAll((before) => !before)}
          >
            {all ? 'One at a time' : `${marks.length - 1} more`}
          </button>
        </li>
      )}
    </ul>
  );
}

function Cure({ mark, store, onGo }: { mark: ProofMark } & Omit<Props, 'marks'>) {
  const { kind, id, hole, at, cure } = mark;
  return (
    <>
      {cure && (
        <button type="button" className="btn btn-link" onClick={() => store.cure(mark)}>
          {cure.words}
        </button>
      )}
      {(hole !== undefined || at) && (
        <button
          type="button"
          className="btn btn-link"
          onClick={() => (hole === undefined ? store.goTo(mark) : onGo(hole))}
        >
          Go there
        </button>
      )}
      {kind === 'query' && (
        <button
          type="button"
          className="btn btn-link"
          title="Leave it as it is"
          onClick={() => store.stet(id)}
        >
          Stet
        </button>
      )}
    </>
  );
}
