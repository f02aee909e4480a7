'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import {
  useDeferredValue,
  useEffect,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
  type ReactNode,
} from 'react';
import type { ListEntry, ListPage } from '../../core/contract/list';
import { hasWords, searchable, wordsWanted } from '../../core/searching/finder';
import { goToSearch, SearchField } from '../shell/SearchField';
import { useAnswerTo } from '../shell/useAnswerTo';
import { useListPages } from './useListPages';

interface Props {
  title: string;
  /** above the search: the kinds of the place */
  kinds?: ReactNode;
  /** what can be made here */
  keys?: readonly { href: string; words: string }[];
  /** the beginning of the list */
  first: ListPage;
  /** where the server gives what follows (`?after=`), and what has some words (`?find=`) */
  source: string;
  /** the path that an entry's key follows */
  path: string;
  /** what to search by, in words */
  find: string;
  /** what belongs here, when there is nothing */
  empty: string;
  /** by what else the list is narrowed */
  narrow?: ReactNode;
}

const STATE_CLASS = { 'needs you': 'needs-you', waiting: 'waiting', 'in order': 'in-order' } as const;
const ROW = 58;
const HEADING = 34;
/** What follows is fetched when so few rows are left below. */
const AHEAD = 40;

/** A place's list, however long: it scrolls on by itself, and the rows in view are drawn. */
export function RecordIndex({ title, kinds, keys = [], first, source, path, find, empty, narrow }: Props) {
  const here = decodeURIComponent(usePathname());
  const router = useRouter();
  const [wanted, setWanted] = useState('');
  const search = useDeferredValue(wanted.trim());
  const { entries, open, failed, fetchMore } = useListPages(first, source);
  const { settled, body: answer } = useAnswerTo<ListPage>(source, search);
  const scroller = useRef<HTMLDivElement>(null);
  // What is here is searched at once; what the server found comes before it, the likeliest first.
  const found = useMemo(() => {
    if (!search) return entries;
    const told = answer?.entries ?? [];
    const keys = new Set(told.map(({ key }) => key));
    return [...told, ...having(entries, search).filter(({ key }) => !keys.has(key))];
  }, [entries, answer, search]);
  const lines = useMemo(() => underDays(found), [found]);
  const rows = useVirtualizer({
    count: lines.length,
    getScrollElement: () => scroller.current,
    estimateSize: (at) => (typeof lines[at] === 'string' ? HEADING : ROW),
    getItemKey: (at) => lineKey(lines, at),
    overscan: 8,
    initialRect: { width: 315, height: 900 },
  });
  const drawn = rows.getVirtualItems();
  const last = drawn.at(-1)?.index ?? 0;
  useEffect(() => {
    if (!search && !failed && last >= lines.length - AHEAD) fetchMore();
  }, [search, failed, last, lines.length, fetchMore]);

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

  // Enter opens what is found by the words as they stand: once the server has told.
  const [entered, setEntered] = useState<string>();
  const likeliest = found[0];
  useEffect(() => {
    if (!entered || entered !== search || !settled) return;
    setEntered(undefined);
    if (likeliest) router.push(`${path}/${encodeURIComponent(likeliest.key)}`);
  }, [entered, search, settled, likeliest, router, path]);

  return (
    <section
      className={`index index-long ${here.startsWith(`${path}/`) ? 'index-behind' : ''}`}
      aria-labelledby="index-title"
      onKeyDown={move}
    >
      <h1 id="index-title">{title}</h1>
      {kinds}
      {keys.length > 0 && (
        <p className="index-keys">
          {keys.map(({ href, words }) => (
            <Link key={href} href={href} prefetch={false} aria-current={here === href ? 'page' : undefined}>
              {words}
            </Link>
          ))}
        </p>
      )}
      <SearchField
        label={find}
        value={wanted}
        onChange={(words) => {
          setWanted(words);
          setEntered(undefined);
        }}
        onEnter={() => setEntered(wanted.trim())}
      />
      {narrow}
      <p className="count" role="status">
        {search
          ? `${answer?.more ? 'more than ' : ''}${found.length} found`
          : open
            ? `${entries.length} so far, more below`
            : `${entries.length} in all`}
      </p>
      <div ref={scroller} className="index-rows">
        <ul style={{ height: rows.getTotalSize() }}>
          {drawn.map(({ index, start }) => {
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
        {failed && !search && (
          <p className="hint" role="alert">
            What follows could not be fetched.{' '}
            <button type="button" className="btn btn-link" onClick={fetchMore}>
              Try again
            </button>
          </p>
        )}
        {answer?.more && <p className="hint">There are more: write more words.</p>}
        {entries.length === 0 && <p className="hint">{empty}</p>}
        {entries.length > 0 && found.length === 0 && settled && (
          <p className="hint">Nothing has these words.</p>
        )}
      </div>
    </section>
  );
}

/** Those of the entries that have some words. */
function having(entries: readonly ListEntry[], search: string): readonly ListEntry[] {
  const words = wordsWanted(search);
  return entries.filter(({ name, day, note, state }) =>
    hasWords(searchable(name, day, note, state?.words), words),
  );
}

/** The entries, and before the first of each day the day. */
function underDays(entries: readonly ListEntry[]): (ListEntry | string)[] {
  return entries.flatMap((entry, i) =>
    entry.day !== undefined && entry.day !== entries[i - 1]?.day ? [entry.day, entry] : [entry],
  );
}

function lineKey(lines: readonly (ListEntry | string)[], at: number): string {
  const line = lines[at]!;
  return typeof line === 'string' ? `day above ${(lines[at + 1] as ListEntry).key}` : line.key;
}
