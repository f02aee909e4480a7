'use client';

import Link from 'next/link';
import type { MarginNote } from '../../core/writing/marginOf';
import { isStartingKind } from '../../core/records/recordKind';
import { splitReference } from '../../core/records/which/splitReference';
import { recordPath } from '../records/recordPath';
import type { LetterStore } from '../writing/letterStore';
import type { BlankType } from '../../core/document/templateDocument';
import { sourceOf } from '../../core/writing/sourceOf';
import { PutRight } from './PutRight';
import { OtherForms } from './OtherForms';
import { AnswerForm } from './AnswerForm';
import type { FilledLetter } from '../../core/writing/writingDesk';

interface Props {
  note: MarginNote;
  filled: FilledLetter;
  store: LetterStore;
  /** something was cured: the note has no more to say */
  onDone: () => void;
  /** a fact was put right where it is kept */
  onPutRight: () => void;
}

/** What a note says when it is open: what, where from, why, what else; or what is missing, with its cures. */
export default function NoteBody({ note, filled, store, onDone, onPutRight }: Props) {
  const place = placeOf(note.record, filled);
  const fact = note.hole?.path ?? filled.notes.find(({ id }) => id === note.id)?.path ?? '';
  const source = sourceOf({ ...note, fact }, filled.situation);
  return (
    <>
      {note.hole && <Cures note={note} store={store} onDone={onDone} />}
      {note.answered && (
        <AnswerForm
          label={note.answered.blank}
          type={store.blankType(note.answered.blank)}
          book={store.desk.book}
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
      {!note.hole && note.was === undefined && !note.answered && (
        <OtherForms note={note} filled={filled} store={store} />
      )}
      {source && <PutRight source={source} onKept={onPutRight} />}
      {place && (
        <Link className="note-place" href={place.href}>
          {place.words}
        </Link>
      )}
    </>
  );
}

const WORDS: BlankType = { kind: 'text' };

function Cures({ note: { label, hole, ids }, store, onDone }: Omit<Props, 'filled' | 'onPutRight'>) {
  const blank = hole!.kind === 'blank';
  return (
    <>
      <AnswerForm
        label={blank ? label : `Words for ${label}`}
        type={blank ? store.blankType(label) : WORDS}
        book={store.desk.book}
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

/** Where a fact is kept, to be put right there. */
function placeOf(record: string | undefined, { situation }: FilledLetter) {
  const [kind, key] = splitReference(record ?? '');
  if (kind !== 'client' && isStartingKind(kind))
    return {
      href: recordPath({ kind, key }),
      words: `See the ${kind === 'booking' ? situation.book.words.booking : kind}`,
    };
  const client = situation.client?.record.key;
  if (
    (kind === 'client' || kind === 'contact' || kind === 'item') &&
    client &&
    situation.book.clients.has(client)
  )
    return { href: recordPath({ kind: 'client', key: client }), words: 'See the client' };
  return undefined;
}
