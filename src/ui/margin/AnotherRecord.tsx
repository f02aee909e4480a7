'use client';

import { useRef, useState } from 'react';
import { alternativesTo } from '../../core/writing/alternatives';
import type { FilledLetter } from '../../core/writing/writingDesk';
import type { LetterStore } from '../writing/letterStore';

/** Takes another record, or another person, than the one that a group of facts comes from. */
export function AnotherRecord({
  record,
  title,
  filled,
  store,
}: {
  record: string | undefined;
  title: string;
  filled: FilledLetter;
  store: LetterStore;
}) {
  const [open, setOpen] = useState(false);
  const toggle = useRef<HTMLButtonElement>(null);
  const found = alternativesTo(record, filled.situation);
  if (!found) return null;
  return (
    <>
      <button
        ref={toggle}
        type="button"
        className="btn btn-link another"
        aria-expanded={open}
        aria-label={`Take another than ${title}`}
        onClick={() => setOpen((is) => !is)}
      >
        another
      </button>
      {open && (
        <ul className="note-others">
          {found.others.map(({ key, name, note, choice }) => (
            <li key={key}>
              <button
                type="button"
                className="choice"
                onClick={() => {
                  // Before the page changes: to be focused it would have to be laid out once more.
                  toggle.current?.focus();
                  store.choose(choice);
                  setOpen(false);
                }}
              >
                <b>{name}</b> {note}
              </button>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
