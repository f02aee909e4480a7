'use client';

import { useId, useRef, useState, type FormEvent } from 'react';
import Form from 'react-bootstrap/Form';
import { alternativesTo, type Alternatives } from '../../core/writing/alternatives';
import type { MarginNote } from '../../core/writing/marginOf';
import type { LetterStore } from '../writing/letterStore';
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

function Cures({ note, store, onDone }: Omit<Props, 'filled'>) {
  const [wrong, setWrong] = useState<string>();
  const field = useId();
  const { label, hole, ids } = note;
  const blank = hole!.kind === 'blank';
  const type = store.blankType(label);

  function fill(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const typed = String(new FormData(event.currentTarget).get('words') ?? '');
    if (!typed.trim()) return setWrong(`Write ${blank ? 'the answer' : `the ${label}`}.`);
    const expected = blank ? store.answer(label, typed) : store.fillIn(ids, typed);
    if (expected === undefined) onDone();
    else setWrong(`Write ${expected}.`);
  }

  return (
    <>
      <Form className="cure" onSubmit={fill} noValidate>
        <Form.Label htmlFor={field} visuallyHidden>
          {blank ? label : `Words for ${label}`}
        </Form.Label>
        {blank && type.kind === 'long text' ? (
          <Form.Control
            as="textarea"
            rows={4}
            id={field}
            name="words"
            autoFocus
            isInvalid={wrong !== undefined}
          />
        ) : blank && (type.kind === 'choice' || type.kind === 'yes/no') ? (
          <Form.Select id={field} name="words">
            {(type.kind === 'choice' ? type.of : ['yes', 'no']).map((one) => (
              <option key={one}>{one}</option>
            ))}
          </Form.Select>
        ) : (
          <Form.Control
            id={field}
            name="words"
            type={blank && type.kind === 'date' ? 'date' : 'text'}
            autoComplete="off"
            autoFocus
            isInvalid={wrong !== undefined}
          />
        )}
        <button type="submit" className="btn btn-link">
          Fill in
        </button>
      </Form>
      <p className="problem" role="alert">
        {wrong}
      </p>
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
