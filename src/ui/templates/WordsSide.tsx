'use client';

import { useEffect, useId, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { Refusal } from '../../core/contract/refusal';
import type { KeepAnswer, WordsFacts, WordsToKeep } from '../../core/contract/templateWords';
import type { Problem } from '../../core/problems/problem';
import { askServer } from '../writing/askServer';
import { signInAgain } from '../writing/useWriting';
import { readWords } from './readWords';

interface Props {
  templateKey: string;
  words: { version: number; text: string };
  changed: boolean;
  facts: WordsFacts;
  onType: (text: string) => void;
  onKept: () => void;
  onUndo: () => void;
  /** loads the version that was kept since, and puts what was typed beside it */
  onLoad: () => void;
}

type Kept = KeepAnswer | Refusal;

/** Words are read this many milliseconds after the last key. */
const PAUSE = 200;

/** The template's words in their text form, read while they are typed; each mistake at its line. */
export function WordsSide({ templateKey, words, changed, facts, onType, onKept, onUndo, onLoad }: Props) {
  const [problems, setProblems] = useState<Problem[]>([]);
  const [trouble, setTrouble] = useState<string>();
  const [kept, setKept] = useState<string>();
  const [overtaken, setOvertaken] = useState<number>();
  const [busy, setBusy] = useState(false);
  const area = useRef<HTMLTextAreaElement>(null);
  const areaId = useId();
  const { text, version } = words;

  useEffect(() => {
    let latest = true;
    const timer = setTimeout(() => {
      void readWords(text, facts).then((reading) => latest && setProblems(reading.problems));
    }, PAUSE);
    return () => {
      latest = false;
      clearTimeout(timer);
    };
  }, [text, facts]);

  async function keep() {
    setBusy(true);
    setTrouble(undefined);
    setKept(undefined);
    const answer = await askServer<Kept>(`/api/templates/${encodeURIComponent(templateKey)}`, {
      version,
      text,
    } satisfies WordsToKeep);
    setBusy(false);
    if ('offline' in answer)
      return setTrouble('There is no connection. Your words are still here; keep them later.');
    const { body } = answer;
    switch (body.result) {
      case 'kept':
        setKept(`Kept as version ${body.version}.`);
        return onKept();
      case 'wrong':
        return setProblems(body.problems);
      case 'overtaken':
        setOvertaken(body.version);
        return setTrouble(
          `${body.by ?? 'Somebody'} has kept version ${body.version} since you began. Load it, and put your change into it; what you wrote stays beside it.`,
        );
      case 'refused':
        return setTrouble(
          'This template is everyone’s: “mine: yes” would take it from the others. Leave that line out.',
        );
      case 'gone':
        return setTrouble('This template is no longer there.');
      default:
        if (body.signedOut) return signInAgain();
        return setTrouble(body.error);
    }
  }

  function goTo({ line }: Problem) {
    const lines = text.split('\n');
    const from = lines.slice(0, line - 1).reduce((sum, one) => sum + one.length + 1, 0);
    area.current?.focus();
    area.current?.setSelectionRange(from, from + (lines[line - 1]?.length ?? 0));
  }

  return (
    <>
      <div className="words-side">
        <Form.Label htmlFor={areaId}>Head and words</Form.Label>
        <Form.Control
          as="textarea"
          id={areaId}
          ref={area}
          className="words-area"
          value={text}
          rows={text.split('\n').length + 6}
          spellCheck
          aria-describedby={`${areaId}-problems`}
          isInvalid={problems.length > 0}
          onChange={(event) => onType(event.currentTarget.value)}
        />
      </div>
      <div className="letter-foot">
        <div id={`${areaId}-problems`} aria-live="polite">
          {problems.length === 0 ? (
            <p className="in-order">Nothing is wrong with these words.</p>
          ) : (
            <ul className="line-problems" aria-label="What is wrong">
              {problems.map((problem) => (
                <li key={`${problem.line}:${problem.column}:${problem.message}`}>
                  <button type="button" className="btn btn-link" onClick={() => goTo(problem)}>
                    Line {problem.line}
                  </button>{' '}
                  {problem.message}
                </li>
              ))}
            </ul>
          )}
        </div>
        {trouble && (
          <p className="trouble" role="alert">
            {trouble}{' '}
            {overtaken !== undefined && (
              <button
                type="button"
                className="btn btn-link"
                onClick={() => {
                  setOvertaken(undefined);
                  setTrouble(undefined);
                  onLoad();
                }}
              >
                Load version {overtaken}
              </button>
            )}
          </p>
        )}
        <div className="foot-line">
          <Button onClick={() => void keep()} disabled={busy || !changed || problems.length > 0}>
            Keep this version
          </Button>
          {changed && (
            <button type="button" className="btn btn-link" onClick={onUndo}>
              Undo my changes
            </button>
          )}
          <p className="foot-words in-order" role="status">
            {kept}
          </p>
        </div>
      </div>
    </>
  );
}
