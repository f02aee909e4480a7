'use client';

import { useEffect, useState } from 'react';
import type { MarginNote } from '../../core/writing/marginOf';
import type { OtherForm } from '../../core/writing/otherForms';
import type { FilledLetter } from '../../core/writing/writingDesk';
import type { LetterStore } from '../writing/letterStore';

/** The other ways to say a fact in this letter: it stays a fact. They are worked out when a note is opened. */
export function OtherForms({
  note,
  filled,
  store,
}: {
  note: MarginNote;
  filled: FilledLetter;
  store: LetterStore;
}) {
  const [forms, setForms] = useState<OtherForm[]>([]);
  const fact = filled.notes.find(({ id }) => id === note.id);
  useEffect(() => {
    if (!fact) return;
    let left = false;
    void import('../../core/writing/otherForms').then(
      ({ otherForms }) => {
        if (!left) setForms(otherForms(fact, filled, store.desk));
      },
      // Without a connection there are none, and the fact stands as it is.
      () => undefined,
    );
    return () => {
      left = true;
    };
  }, [fact, filled, store]);

  const isOther = note.ids.some((id) => filled.choices.saidOtherwise?.[id]);
  if (!forms.length && !isOther) return null;
  return (
    <div className="other-forms" role="group" aria-label={`Say it otherwise: ${note.words}`}>
      {forms.map(({ words, label, said }) => (
        <button
          key={JSON.stringify(said)}
          type="button"
          className="choice"
          onClick={() => store.sayOtherwise(note.ids, said)}
        >
          <b>{words}</b> {label}
        </button>
      ))}
      {isOther && (
        <button
          type="button"
          className="btn btn-link"
          onClick={() => store.sayOtherwise(note.ids, undefined)}
        >
          As the template says it
        </button>
      )}
    </div>
  );
}
