'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useId, useRef, useState, type KeyboardEvent } from 'react';
import { afterPaint } from '../shell/afterPaint';
import { GO_TO } from './goTo';
import { useFound, type Found } from './useFound';

/** One place to go anywhere and begin anything, by words: opened by Ctrl or Cmd + K, by a press, and by an address. */
export function Palette() {
  const dialog = useRef<HTMLDialogElement>(null);
  const [open, setOpen] = useState(false);
  const close = useCallback(() => setOpen(false), []);
  useEffect(() => {
    const press = (event: globalThis.KeyboardEvent) => {
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

function Search({ onDone }: { onDone: () => void }) {
  const router = useRouter();
  const [typed, setTyped] = useState('');
  const [at, setAt] = useState(0);
  const [isWanted, setWanted] = useState(false);
  const { found, state } = useFound(typed);
  const list = useId();
  const chosen = Math.min(at, found.length - 1);

  const go = useCallback(
    ({ path }: Found) => {
      onDone();
      router.push(path);
    },
    [onDone, router],
  );
  // What stands there while it is looked for was found by other words: who has pressed Enter waits for what is meant.
  const first = state === 'looking' ? undefined : found[chosen];
  useEffect(() => {
    if (isWanted && first) go(first);
  }, [isWanted, first, go]);
  const press = (event: KeyboardEvent) => {
    if (event.nativeEvent.isComposing) return;
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step !== undefined && found.length > 0) {
      event.preventDefault();
      setAt((chosen + step + found.length) % found.length);
    } else if (event.key === 'Enter') {
      event.preventDefault();
      setWanted(true);
    }
  };

  return (
    <>
      <input
        type="text"
        role="combobox"
        className="form-control"
        aria-label="Go to or begin"
        aria-expanded={found.length > 0}
        aria-controls={list}
        aria-activedescendant={chosen >= 0 ? `${list}-${chosen}` : undefined}
        aria-autocomplete="list"
        placeholder="write oda reminder, an invoice, a place"
        autoComplete="off"
        autoFocus
        value={typed}
        onChange={(event) => {
          setTyped(event.target.value);
          setAt(0);
          setWanted(false);
        }}
        onKeyDown={press}
      />
      <ul id={list} role="listbox" aria-label="Found">
        {found.map((one, i) => (
          <li
            key={one.path}
            id={`${list}-${i}`}
            role="option"
            aria-selected={i === chosen}
            onClick={() => go(one)}
            onPointerMove={() => setAt(i)}
          >
            {one.name} {one.note && <span className="entry-note">{one.note}</span>}
          </li>
        ))}
      </ul>
      <p className="count" role="status">
        {state === 'offline'
          ? 'There is no connection: only places are found.'
          : found.length === 0 && state === 'known'
            ? 'Nothing is found by these words.'
            : ''}
      </p>
    </>
  );
}
