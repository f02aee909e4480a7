'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useDeferredValue, useMemo, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { goToSearch, SearchField } from '../shell/SearchField';

export interface Entry {
  key: string;
  name: string;
  note: string;
  state?: { words: string; kind: 'needs you' | 'waiting' | 'in order' };
  also?: string;
}

interface Props {
  title: string;
  /** above the search: the kinds of the place */
  kinds?: ReactNode;
  entries: readonly Entry[];
  /** the path that an entry's key follows */
  path: string;
  /** what to search by, in words */
  find: string;
  /** what belongs here, when there is nothing */
  empty: string;
}

const STATE_CLASS = { 'needs you': 'needs-you', waiting: 'waiting', 'in order': 'in-order' } as const;
const ROW = 58;

/** A place's list: thousands of rows, of which those in view are drawn. */
export function RecordIndex({ title, kinds, entries, path, find, empty }: Props) {
  const here = decodeURIComponent(usePathname());
  const [wanted, setWanted] = useState('');
  const search = useDeferredValue(wanted.trim().toLowerCase());
  const scroller = useRef<HTMLDivElement>(null);
  const searched = useMemo(
    () =>
      entries.map((entry) =>
        `${entry.name} ${entry.note} ${entry.state?.words ?? ''} ${entry.also ?? ''}`.toLowerCase(),
      ),
    [entries],
  );
  const found = useMemo(() => {
    const words = search.split(/\s+/).filter(Boolean);
    return words.length
      ? entries.filter((_, i) => words.every((word) => searched[i]!.includes(word)))
      : entries;
  }, [entries, searched, search]);
  const rows = useVirtualizer({
    count: found.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 8,
    initialRect: { width: 315, height: 900 },
  });

  /** Arrows go from the search into the list and through it. */
  function move(event: KeyboardEvent) {
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (!step) return;
    event.preventDefault();
    const at = Number((document.activeElement as HTMLElement | null)?.dataset.row ?? -1) + step;
    if (at < 0) return void goToSearch();
    if (at >= found.length) return;
    rows.scrollToIndex(at);
    requestAnimationFrame(() => scroller.current?.querySelector<HTMLElement>(`[data-row="${at}"]`)?.focus());
  }

  return (
    <section
      className={`index index-long ${here.startsWith(`${path}/`) ? 'index-behind' : ''}`}
      aria-labelledby="index-title"
      onKeyDown={move}
    >
      <h1 id="index-title">{title}</h1>
      {kinds}
      <SearchField label={find} value={wanted} onChange={setWanted} />
      <p className="count" role="status">
        {search ? `${found.length} of ${entries.length}` : `${entries.length} in all`}
      </p>
      <div ref={scroller} className="index-rows">
        <ul style={{ height: rows.getTotalSize() }}>
          {rows.getVirtualItems().map(({ index, start }) => {
            const { key, name, note, state } = found[index]!;
            const target = `${path}/${encodeURIComponent(key)}`;
            return (
              <li key={key} style={{ transform: `translateY(${start}px)` }}>
                <Link
                  href={target}
                  prefetch={false}
                  className="entry"
                  data-row={index}
                  aria-current={here === `${path}/${key}` ? 'page' : undefined}
                >
                  <span className="entry-name">{name}</span>
                  <span className="entry-note">
                    <span className="entry-facts">{note}</span>
                    {state && <span className={`entry-state ${STATE_CLASS[state.kind]}`}>{state.words}</span>}
                  </span>
                </Link>
              </li>
            );
          })}
        </ul>
        {entries.length === 0 && <p className="hint">{empty}</p>}
        {entries.length > 0 && found.length === 0 && <p className="hint">Nothing has these words.</p>}
      </div>
    </section>
  );
}
