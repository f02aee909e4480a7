import { useCallback, useMemo, useRef, useState } from 'react';
import type { ListEntry, ListPage } from '../../core/contract/list';
import { asking } from '../shell/asking';
import { askServer } from '../writing/askServer';

const NONE: readonly ListPage[] = [];

interface ListPages {
  /** what has come so far */
  entries: readonly ListEntry[];
  /** whether there is more to come */
  open: boolean;
  /** the last piece could not be fetched */
  failed: boolean;
  /** fetches what follows, once at a time */
  fetchMore: () => void;
}

/**
 * A list that comes piece by piece.
 * @param first its beginning, as the page was given it; it may come anew
 * @param source where what follows is asked for
 */
export function useListPages(first: ListPage, source: string): ListPages {
  const [came, setCame] = useState<{ source: string; pages: ListPage[] }>({ source, pages: [] });
  const [failed, setFailed] = useState(false);
  const busy = useRef('');
  // What followed in another list follows in none of this one.
  const later = came.source === source ? came.pages : NONE;
  const { next } = later.at(-1) ?? first;

  const fetchMore = useCallback(() => {
    if (busy.current === source || next === undefined) return;
    busy.current = source;
    setFailed(false);
    void askServer<ListPage>(asking(source, 'after', next)).then((answer) => {
      if (busy.current !== source) return;
      busy.current = '';
      if ('offline' in answer || answer.status !== 200) return setFailed(true);
      setCame((before) => ({
        source,
        pages: [...(before.source === source ? before.pages : []), answer.body],
      }));
    });
  }, [source, next]);

  const entries = useMemo(() => {
    // A row that has moved meanwhile is shown where it came first.
    const byKey = new Map<string, ListEntry>();
    for (const page of [first, ...later])
      for (const entry of page.entries) if (!byKey.has(entry.key)) byKey.set(entry.key, entry);
    return [...byKey.values()];
  }, [first, later]);

  return { entries, open: next !== undefined, failed, fetchMore };
}
