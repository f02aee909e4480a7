import { useCallback, useMemo, useRef, useState } from 'react';
import type { ListEntry, ListPage } from '../../core/contract/list';
import { askServer } from '../writing/askServer';

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
  const [later, setLater] = useState<ListPage[]>([]);
  const [failed, setFailed] = useState(false);
  const busy = useRef(false);
  const { next } = later.at(-1) ?? first;

  const fetchMore = useCallback(() => {
    if (busy.current || next === undefined) return;
    busy.current = true;
    setFailed(false);
    void askServer<ListPage>(`${source}?after=${encodeURIComponent(next)}`).then((answer) => {
      busy.current = false;
      if ('offline' in answer || answer.status !== 200) setFailed(true);
      else setLater((before) => [...before, answer.body]);
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
