'use client';

import { useMemo } from 'react';
import type { Meant } from '../../../core/adopting/adopt';
import { allFields } from '../../../core/adopting/meantLabel';
import type { CompileContext } from '../../../core/fill/compile/newScope';
import { useNextQuestion } from '../fromLetter/useNextQuestion';
import type { AskedName } from './coming';
import { NameNote } from './NameNote';

interface Props {
  names: readonly AskedName[];
  isDecided: (name: AskedName) => boolean;
  context: CompileContext;
  /** what the business calls its records */
  titles: Readonly<Record<string, string>>;
  onMean: (key: string, meant: Meant | undefined) => void;
}

/** The names of templates from elsewhere: what is not known of them is asked, once each. */
export function NamesMean({ names, isDecided, context, titles, onMean }: Props) {
  const { questions, decided: goOn } = useNextQuestion();
  const fields = useMemo(() => allFields(context, titles), [context, titles]);
  const open = names.filter((name) => !isDecided(name));
  const decided = names.filter(isDecided);
  const notes = (some: readonly AskedName[], areDecided: boolean) => (
    <ul>
      {some.map((name) => (
        <NameNote
          key={name.key}
          name={name}
          context={context}
          titles={titles}
          groups={fields}
          isDecided={areDecided}
          onMean={(meant) => {
            goOn();
            onMean(name.key, meant);
          }}
        />
      ))}
    </ul>
  );
  return (
    <aside id="names-mean" ref={questions} className="states find-notes" aria-label="What names mean">
      <p role="status" tabIndex={-1}>
        {open.length === 0
          ? 'It is known what all of their names mean.'
          : open.length === 1
            ? 'One name is asked about, once.'
            : `${open.length} names are asked about, once each.`}
      </p>
      {open.length > 0 && (
        <>
          <h2>What do these mean?</h2>
          {notes(open, false)}
        </>
      )}
      {decided.length > 0 && (
        <details open={open.length === 0}>
          <summary>{decided.length === 1 ? 'One is known' : `${decided.length} are known`}</summary>
          {notes(decided, true)}
        </details>
      )}
    </aside>
  );
}
