'use client';

import type { ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import type { Problem } from '../../core/problems/problem';
import type { Keeping } from './useKeeping';

interface Props {
  id: string;
  /** the version that letters are written from */
  version: number;
  changed: boolean;
  /** it may not be kept by whoever looks at it */
  locked: boolean;
  /** whether the server has what was written last */
  isAtServer: boolean;
  /** what is wrong with the words as they stand; undefined: they are not read yet */
  problems: readonly Problem[] | undefined;
  /** whether it is said that nothing is */
  saysSo: boolean;
  keeping: Keeping;
  onKeep: () => void;
  onUndo: () => void;
  onLoad: () => void;
  /** goes to what is wrong */
  onGo: (problem: Problem) => void;
  /** what can be put in, where words are written */
  children?: ReactNode;
}

/** The foot of a template: what is wrong with it, what letters are written from meanwhile, and keeping it. */
export function DeskFoot({
  id,
  version,
  changed,
  locked,
  isAtServer,
  problems,
  saysSo,
  keeping: { trouble, overtaken, kept, busy, problems: refused },
  onKeep,
  onUndo,
  onLoad,
  onGo,
  children,
}: Props) {
  const wrong = problems?.length ? problems : refused;
  return (
    <div className="letter-foot desk-foot">
      {children}
      <div id={id} aria-live="polite">
        {wrong.length > 0 ? (
          <ul className="line-problems" aria-label="What is wrong">
            {wrong.map((problem) => (
              <li key={`${problem.line}:${problem.column}:${problem.message}`}>
                <button type="button" className="btn btn-link" onClick={() => onGo(problem)}>
                  Line {problem.line}
                </button>{' '}
                {problem.message}
              </li>
            ))}
          </ul>
        ) : (
          problems && saysSo && <p className="in-order">Nothing is wrong with these words.</p>
        )}
      </div>
      {trouble && (
        <p className="trouble" role="alert">
          {trouble}{' '}
          {overtaken !== undefined && (
            <button type="button" className="btn btn-link" onClick={onLoad}>
              Load version {overtaken}
            </button>
          )}
        </p>
      )}
      <div className="foot-line">
        <Button onClick={onKeep} disabled={locked || busy || !changed || !problems || problems.length > 0}>
          Keep this version
        </Button>
        {changed && (
          <button type="button" className="btn btn-link" onClick={onUndo}>
            Undo my changes
          </button>
        )}
        <p className="foot-words" role="status">
          {kept ? (
            <span className="in-order">{kept}</span>
          ) : (
            changed &&
            `A draft, kept ${isAtServer ? 'for you' : 'on this device'}. Letters still use version ${version}.`
          )}
        </p>
      </div>
    </div>
  );
}
