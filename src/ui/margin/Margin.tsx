'use client';

import { useLayoutEffect, useRef, type ReactNode, type RefObject } from 'react';
import type { MarginNote } from '../../core/writing/marginOf';
import { placeNotes } from './placeNotes';

interface Props {
  notes: readonly MarginNote[];
  chosen: string | undefined;
  onChoose: (id: string | undefined) => void;
  /** the page that the notes stand beside */
  page: RefObject<HTMLElement | null>;
  /** what can be done about a note, where something can */
  body?: (note: MarginNote) => ReactNode;
}

/** The column beside the page: a note for each field, at its line. On a phone the one that was tapped rises from below. */
export function Margin({ notes, chosen, onChoose, page, body }: Props) {
  const margin = useRef<HTMLElement>(null);
  const shown = notes.filter((note) => !note.inListing || note.hole || isChosen(note, chosen));

  useLayoutEffect(() => {
    const place = () => {
      if (margin.current && page.current) placeNotes(margin.current, page.current);
    };
    // The watcher tells of each size once at the beginning: before the first paint, and with one layout.
    const watcher = new ResizeObserver(place);
    if (page.current) watcher.observe(page.current);
    for (const note of margin.current?.children ?? []) watcher.observe(note);
    return () => watcher.disconnect();
  });

  return (
    <aside ref={margin} className="margin" aria-label="Margin">
      {shown.map((note) => {
        const open = isChosen(note, chosen);
        return (
          <section
            key={note.id}
            className={`note ${note.hole ? 'note-missing' : ''} ${note.was === undefined ? '' : 'note-changed'} ${open ? 'note-open' : ''}`}
            data-for={note.ids.join(' ')}
            aria-label={note.hole ? `Missing: ${note.label}` : `${note.label}: ${note.words}`}
          >
            <button
              type="button"
              className="note-head"
              aria-expanded={open}
              onClick={() => onChoose(open ? undefined : note.id)}
            >
              <NoteHead note={note} />
            </button>
            {open && body?.(note)}
            {open && (
              <button type="button" className="btn btn-link close-note" onClick={() => onChoose(undefined)}>
                Close
              </button>
            )}
          </section>
        );
      })}
    </aside>
  );
}

function NoteHead({ note }: { note: MarginNote }) {
  if (note.hole)
    return (
      <>
        <span className="note-words">
          {note.hole.kind === 'blank' ? `Answer: ${note.label}` : `No ${note.label}`}
        </span>
        <span className="note-reason">{note.reason}</span>
      </>
    );
  return (
    <>
      <span className="note-label">
        {note.was === undefined ? note.label : `${note.label}, changed by hand`}
      </span>
      <span className="note-words">{note.words}</span>
      <span className="note-reason">{note.reason}</span>
    </>
  );
}

function isChosen(note: MarginNote, chosen: string | undefined): boolean {
  return chosen !== undefined && note.ids.includes(chosen);
}
