'use client';

import { useLayoutEffect, useRef, type ReactNode } from 'react';

interface Props {
  title: string;
  /** where what it is about stands in the window */
  place: () => { top: number; bottom: number };
  children: ReactNode;
  /** what was typed in it is done: back to the page, where the same thing stays chosen */
  onDone: () => void;
  onClose: () => void;
}

/** The note of what is chosen on the page: at its line in the margin; on a phone it comes from below. */
export function PencilNote({ title, place: placeOf, children, onDone, onClose }: Props) {
  const note = useRef<HTMLElement>(null);
  useLayoutEffect(() => {
    const place = () => {
      const margin = note.current?.parentElement;
      if (!note.current || !margin) return;
      const { top } = placeOf();
      if (getComputedStyle(margin).position !== 'relative') note.current.style.removeProperty('top');
      else note.current.style.top = `${Math.max(0, top - margin.getBoundingClientRect().top - 4)}px`;
    };
    place();
    window.addEventListener('resize', place);
    return () => window.removeEventListener('resize', place);
  });
  // On a phone it lies over the page, which scrolls until what it is about is in sight.
  useLayoutEffect(() => {
    if (!note.current || getComputedStyle(note.current).position !== 'fixed') return;
    const covered = placeOf().bottom - note.current.getBoundingClientRect().top;
    if (covered > 0) window.scrollBy({ top: covered + 8 });
    // Once, when it opens.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  return (
    <aside className="margin" aria-label="Margin">
      <section
        ref={note}
        className="note note-open"
        aria-label={title}
        onKeyDown={({ key, target, nativeEvent }) => {
          if (key === 'Escape') onClose();
          if (key !== 'Enter' || nativeEvent.isComposing || !(target instanceof HTMLInputElement)) return;
          target.blur();
          // What is wrong with it is told here, and mended here.
          requestAnimationFrame(() => {
            if (note.current?.querySelector('.is-invalid, [role="alert"]:not(:empty)')) target.focus();
            else onDone();
          });
        }}
      >
        <div className="note-head">
          <h2 className="note-title">{title}</h2>
        </div>
        {children}
        <button type="button" className="btn btn-link close-note" onClick={onClose}>
          Close
        </button>
      </section>
    </aside>
  );
}
