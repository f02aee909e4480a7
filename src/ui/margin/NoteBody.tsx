'use client';

import { useRef, useState } from 'react';
import { alternativesTo, type Alternatives } from '../../core/writing/alternatives';
import type { MarginNote } from '../../core/writing/marginOf';
import type { LetterStore } from '../writing/letterStore';
import type { BlankType } from '../../core/template/document';
import { AnswerForm } from './AnswerForm';
import type { FilledLetter } from '../../core/writing/writingDesk';

interface Props {
  note: MarginNote;
  filled: FilledLetter;
  store: LetterStore;
  /** something was cured: the note has no more to say */
  onDone: () => void;
}

/** What a note says when it is open: what, where from, why, what else; or what is missing, with its cures. */
export function NoteBody({ note, filled, store, onDone }: Props) {
  const others = alternativesTo(note.record, filled.situation);
  return (
    <>
      {note.hole && <Cures note={note} store={store} onDone={onDone} />}
      {note.answered && (
        <AnswerForm
          label={note.answered.blank}
          type={store.blankType(note.answered.blank)}
          typed={note.answered.typed}
          action="Change the answer"
          empty="Write the answer."
          onAnswer={(typed) => store.answer(note.answered!.blank, typed)}
          onDone={onDone}
        />
      )}
      {note.was !== undefined && (
        <p className="note-reason">
          {note.was ? <>The records say: {note.was} </> : 'The records say nothing. '}
          <button
            type="button"
            className="btn btn-link"
            onClick={() => {
              store.putBack(note.ids);
              onDone();
            }}
          >
            Put back
          </button>
        </p>
      )}
      {others && <Others alternatives={others} store={store} />}
    </>
  );
}

const WORDS: BlankType = { kind: 'text' };

function Cures({ note: { label, hole, ids }, store, onDone }: Omit<Props, 'filled'>) {
  const blank = hole!.kind === 'blank';
  return (
    <>
      <AnswerForm
        label={blank ? label : `Words for ${label}`}
        type={blank ? store.blankType(label) : WORDS}
        action="Fill in"
        empty={`Write ${blank ? 'the answer' : `the ${label}`}.`}
        onAnswer={(typed) => (blank ? store.answer(label, typed) : store.fillIn(ids, typed))}
        onDone={onDone}
      />
      <button
        type="button"
        className="btn btn-link"
        onClick={() => {
          store.leaveOut(ids);
          onDone();
        }}
      >
        Leave the sentence out
      </button>
    </>
  );
}

function Others({
  alternatives: { kind, others },
  store,
}: {
  alternatives: Alternatives;
  store: LetterStore;
}) {
  const [open, setOpen] = useState(false);
  const toggle = useRef<HTMLButtonElement>(null);
  return (
    <div className="note-others">
      <button
        ref={toggle}
        type="button"
        className="btn btn-link"
        aria-expanded={open}
        onClick={() => setOpen((is) => !is)}
      >
        {others.length === 1 ? `Take the other ${kind}` : `Take another ${kind}`}
      </button>
      {open && (
        <ul>
          {others.map(({ key, name, note, choice }) => (
            <li key={key}>
              <button
                type="button"
                className="choice"
                onClick={() => {
                  store.choose(choice);
                  setOpen(false);
                  toggle.current?.focus();
                }}
              >
                <b>{name}</b> {note}
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
