'use client';

import { useLayoutEffect, useRef, type ReactNode, type RefObject } from 'react';
import type { MarginGroup } from '../../core/writing/marginGroups';
import type { MarginNote } from '../../core/writing/marginOf';
import { placeNotes } from './placeNotes';
import { useSwipe } from './useSwipe';

interface Props {
  groups: readonly MarginGroup[];
  chosen: string | undefined;
  onChoose: (id: string | undefined) => void;
  /** the page that the notes stand beside */
  page: RefObject<HTMLElement | null>;
  /** what can be done about a note, where something can */
  body?: (note: MarginNote) => ReactNode;
  /** how another record is taken, where one can be */
  another?: (group: MarginGroup) => ReactNode;
}

/**
 * The column beside the page, gathered by record: its name and why this one, once, then the facts it gives to the letter.
 * On a phone the one that was tapped rises from below.
 */
export function Margin({ groups, chosen, onChoose, page, body, another }: Props) {
  const margin = useRef<HTMLElement>(null);
  const swipe = useSwipe((to) => {
    const next = beside(groups, chosen, to);
    if (next !== undefined) onChoose(next);
  });

  useLayoutEffect(() => {
    const place = () => {
      if (margin.current && page.current) placeNotes(margin.current, page.current);
    };
    // The watcher tells of each size once at the beginning: before the first paint, and with one layout.
    const watcher = new ResizeObserver(place);
    if (page.current) watcher.observe(page.current);
    for (const note of margin.current?.children ?? []) watcher.observe(note);
    // A font that comes late moves the lines of a page that stays as large.
    document.fonts.addEventListener('loadingdone', place);
    return () => {
      watcher.disconnect();
      document.fonts.removeEventListener('loadingdone', place);
    };
  });

  return (
    <aside ref={margin} className="margin" aria-label="Margin">
      {groups.map((group) => {
        const open = group.notes.find((note) => isChosen(note, chosen));
        // Rows of a listing are told when they are asked for.
        const shown = group.notes.filter((note) => !note.inListing || note.hole || note === open);
        if (shown.length === 0) return null;
        const missing = shown[0]!.hole !== undefined;
        return (
          <section
            key={group.id}
            className={`note ${missing ? 'note-missing' : ''} ${open ? 'note-open' : ''}`}
            data-for={(open ?? shown[0]!).ids[0]}
            aria-label={missing ? `Missing: ${shown[0]!.label}` : group.title}
            {...(open ? swipe : {})}
          >
            <div className="note-head">
              <h2 className="note-title">{group.title}</h2>
              {another?.(group)}
              {group.reason && <p className="note-reason">{group.reason}</p>}
            </div>
            {shown.map((note) => (
              <Fact key={note.id} note={note} open={note === open} onChoose={onChoose} body={body} />
            ))}
            {open && (
              <p className="note-turns">
                <button type="button" className="btn btn-link" onClick={() => onChoose(undefined)}>
                  Close
                </button>
                {([-1, 1] as const).map((to) => {
                  const next = beside(groups, chosen, to);
                  return (
                    <button
                      key={to}
                      type="button"
                      className="btn btn-link"
                      disabled={next === undefined}
                      onClick={() => onChoose(next)}
                    >
                      {to < 0 ? 'Fact before' : 'Next fact'}
                    </button>
                  );
                })}
              </p>
            )}
          </section>
        );
      })}
    </aside>
  );
}

interface FactProps extends Pick<Props, 'onChoose' | 'body'> {
  note: MarginNote;
  open: boolean;
}

function Fact({ note, open, onChoose, body }: FactProps) {
  const words = note.was === undefined ? note.label : `was ${note.was || 'missing'}`;
  return (
    <div className={`fact ${open ? 'fact-open' : ''}`}>
      <button
        type="button"
        className="fact-line"
        aria-expanded={open}
        onClick={() => onChoose(open ? undefined : note.id)}
      >
        {note.hole ? (
          <span className="note-reason">{note.reason}</span>
        ) : (
          <>
            <span className="fact-label">{words}</span> <span className="fact-words">{note.words}</span>
          </>
        )}
      </button>
      {open && (
        <div className="fact-body">
          {note.how && <p className="note-reason">{note.how}</p>}
          {body?.(note)}
        </div>
      )}
    </div>
  );
}

/** The note before the one that is open, or after it. */
function beside(groups: readonly MarginGroup[], chosen: string | undefined, to: 1 | -1): string | undefined {
  const notes = groups.flatMap((group) => group.notes.filter((note) => !note.inListing || note.hole));
  const at = notes.findIndex((note) => isChosen(note, chosen));
  return at < 0 ? undefined : notes[at + to]?.id;
}

function isChosen(note: MarginNote, chosen: string | undefined): boolean {
  return chosen !== undefined && note.ids.includes(chosen);
}
