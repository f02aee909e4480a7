'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useId, useState, type KeyboardEvent } from 'react';
import { useFound, type Found } from './useFound';

/** What is said without a connection. */
const WITHOUT: Partial<Record<string, string>> = {
  kept: 'There is no connection: these are kept on this device.',
  offline: 'There is no connection: only places are found.',
};

/** What is typed, and what is found by it. */
export default function Search({ onDone }: { onDone: () => void }) {
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
        placeholder="write oda reminder, an address, a place"
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
        {found.length === 0 && state === 'known' ? 'Nothing is found by these words.' : WITHOUT[state]}
      </p>
    </>
  );
}
