'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { afterPaint } from '../shell/afterPaint';
import { lazyPart } from '../shell/lazyPart';
import { GO_TO } from './goTo';

const bringSearch = () => import('./Search');
const Search = lazyPart(bringSearch);

/** The page comes first: milliseconds until what is not seen yet is fetched, so that no key waits for it. */
const REST = 1500;

/** One place to go anywhere and begin anything, by words: opened by Ctrl or Cmd + K, by a press, and by an address. */
export function Palette() {
  const dialog = useRef<HTMLDialogElement>(null);
  const [open, setOpen] = useState(false);
  const close = useCallback(() => setOpen(false), []);
  useEffect(() => {
    const timer = setTimeout(() => void bringSearch().catch(() => undefined), REST);
    return () => clearTimeout(timer);
  }, []);
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (
        !(event.ctrlKey || event.metaKey) ||
        event.altKey ||
        event.shiftKey ||
        event.key.toLowerCase() !== 'k'
      )
        return;
      event.preventDefault();
      setOpen((is) => !is);
    };
    // Before an editor, which may have a meaning of its own for it.
    window.addEventListener('keydown', press, true);
    return () => window.removeEventListener('keydown', press, true);
  }, []);
  useEffect(() => {
    const openIfAsked = () => {
      const { hash, pathname, search } = window.location;
      if (hash !== GO_TO) return;
      // Once: coming back to the page is not asking for it again.
      window.history.replaceState(window.history.state, '', pathname + search);
      setOpen(true);
    };
    const callOff = afterPaint(openIfAsked);
    window.addEventListener('hashchange', openIfAsked);
    return () => {
      callOff();
      window.removeEventListener('hashchange', openIfAsked);
    };
  }, []);
  useEffect(() => {
    if (open) dialog.current?.showModal();
    else dialog.current?.close();
  }, [open]);
  return (
    <>
      <button type="button" className="btn btn-link open-help" onClick={() => setOpen(true)}>
        Go to …
      </button>
      <dialog
        ref={dialog}
        className="paper palette"
        aria-label="Go to or begin"
        onClose={close}
        onClick={(event) => event.target === dialog.current && setOpen(false)}
      >
        {open && <Search onDone={close} />}
      </dialog>
    </>
  );
}
