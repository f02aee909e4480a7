'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import { useDeferredValue, useMemo, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { hasWords, searchable, wordsWanted } from '../../core/searching/finder';
import { goToSearch, SearchField } from '../shell/SearchField';
import { useAnswerTo } from '../shell/useAnswerTo';

export interface Entry {
  key: string;
  name: string;
  note: string;
  /** the heading it stands under: a day */
  day?: string;
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
  /** where the server finds more of them than the list holds */
  more?: string;
  /** what belongs here, when there is nothing */
  empty: string;
}

const STATE_CLASS = { 'needs you': 'needs-you', waiting: 'waiting', 'in order': 'in-order' } as const;
const ROW = 58;
const HEADING = 34;

/** A place's list: thousands of rows, of which those in view are drawn. */
export function RecordIndex({ title, kinds, entries: listed, path, find, more, empty }: Props) {
  const here = decodeURIComponent(usePathname());
  const router = useRouter();
  const [wanted, setWanted] = useState('');
  const search = useDeferredValue(wanted.trim());
  const answer = useAnswerTo<Entry[]>(more ?? '', more ? search : '');
  const entries = useMemo(() => withMore(listed, answer), [listed, answer]);
  const scroller = useRef<HTMLDivElement>(null);
  const searched = useMemo(
    () => entries.map(({ name, day, note, state, also }) => searchable(name, day, note, state?.words, also)),
    [entries],
  );
  const found = useMemo(() => {
    const words = wordsWanted(search);
    if (!words.length) return entries;
    const told = new Set(answer?.map(({ key }) => key));
    return likeliestFirst(
      entries.filter(({ key }, i) => told.has(key) || hasWords(searched[i]!, words)),
      words,
    );
  }, [entries, answer, searched, search]);
  const lines = useMemo(() => underDays(found), [found]);
  const rows = useVirtualizer({
    count: lines.length,
    getScrollElement: () => scroller.current,
    estimateSize: (at) => (typeof lines[at] === 'string' ? HEADING : ROW),
    getItemKey: (at) => lineKey(lines, at),
    overscan: 8,
    initialRect: { width: 315, height: 900 },
  });

  /** Arrows go from the search into the list and through it. */
  function move(event: KeyboardEvent) {
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (!step) return;
    event.preventDefault();
    let at = Number((document.activeElement as HTMLElement | null)?.dataset.row ?? -1) + step;
    if (typeof lines[at] === 'string') at += step;
    if (at < 0) return void goToSearch();
    if (at >= lines.length) return;
    rows.scrollToIndex(at);
    requestAnimationFrame(() => scroller.current?.querySelector<HTMLElement>(`[data-row="${at}"]`)?.focus());
  }

  /** Of what is found by the words as they stand, not as they stood a moment ago. */
  function open() {
    const words = wordsWanted(wanted);
    if (!words.length) return;
    const asShown = wanted.trim() === search;
    const having = () => entries.filter((_, i) => hasWords(searched[i]!, words));
    const [first] = asShown ? found : likeliestFirst(having(), words);
    if (first) router.push(`${path}/${encodeURIComponent(first.key)}`);
  }

  return (
    <section
      className={`index index-long ${here.startsWith(`${path}/`) ? 'index-behind' : ''}`}
      aria-labelledby="index-title"
      onKeyDown={move}
    >
      <h1 id="index-title">{title}</h1>
      {kinds}
      <SearchField label={find} value={wanted} onChange={setWanted} onEnter={open} />
      <p className="count" role="status">
        {search ? `${found.length} found` : `${listed.length} in all`}
      </p>
      <div ref={scroller} className="index-rows">
        <ul style={{ height: rows.getTotalSize() }}>
          {rows.getVirtualItems().map(({ index, start }) => {
            const line = lines[index]!;
            const place = { transform: `translateY(${start}px)` };
            if (typeof line === 'string')
              return (
                <li key={lineKey(lines, index)} style={place} className="entry-day">
                  <h2>{line}</h2>
                </li>
              );
            const { key, name, note, state } = line;
            const target = `${path}/${encodeURIComponent(key)}`;
            return (
              <li key={key} style={place}>
                <Link
                  href={target}
                  prefetch={false}
                  className="entry"
                  data-row={index}
                  aria-current={here === `${path}/${key}` ? 'page' : undefined}
                >
                  <span className="entry-name">{name}</span>
                  {state && <span className={`entry-state ${STATE_CLASS[state.kind]}`}>{state.words}</span>}
                  <span className="entry-note">{note}</span>
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

/** Whose name has the words comes before whose address or number has them; days stay together. */
function likeliestFirst(found: readonly Entry[], words: readonly string[]): readonly Entry[] {
  if (found.some(({ day }) => day !== undefined)) return found;
  const named = new Set(found.filter(({ name }) => hasWords(searchable(name), words)));
  return [...named, ...found.filter((entry) => !named.has(entry))];
}

/** The entries, and after them those that only the server found. */
function withMore(entries: readonly Entry[], more: readonly Entry[] = []): readonly Entry[] {
  const here = new Set(entries.map(({ key }) => key));
  const others = more.filter(({ key }) => !here.has(key));
  return others.length ? [...entries, ...others] : entries;
}

/** The entries, and before the first of each day the day. */
function underDays(entries: readonly Entry[]): (Entry | string)[] {
  return entries.flatMap((entry, i) =>
    entry.day !== undefined && entry.day !== entries[i - 1]?.day ? [entry.day, entry] : [entry],
  );
}

function lineKey(lines: readonly (Entry | string)[], at: number): string {
  const line = lines[at]!;
  return typeof line === 'string' ? `day above ${(lines[at + 1] as Entry).key}` : line.key;
}
