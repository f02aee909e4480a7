'use client';

import { useEffect, useRef, useState } from 'react';
import type { Done } from '../../core/contract/refusal';
import type { DraftToKeep } from '../../core/contract/templateWords';
import { askServer } from '../writing/askServer';
import type { TypedWords } from './useTypedWords';

/** What was written is given to the server after so many milliseconds without a key. */
const PAUSE = 1200;
/** Where it cannot be reached it is tried again after growing pauses, at last after so many. */
const LONGEST = 30_000;

/**
 * Keeps what is being written of a template's next version at the server, too.
 * @param known what the server had when the page came
 * @returns whether the server has what was written last
 */
export function useServerDraft(
  templateKey: string,
  typed: TypedWords | undefined,
  known: string | undefined,
): boolean {
  /** what the server has; undefined while that is not known */
  const [has, setHas] = useState<string | null | undefined>(known ?? null);
  const text = typed?.text ?? null;
  const version = typed?.version ?? 1;
  /** how often it could not be given since it last was */
  const [failures, setFailures] = useState(0);
  const pending = useRef<() => void>(undefined);
  /** one after the other, so that the last one given is the last one kept */
  const turn = useRef<Promise<unknown>>(Promise.resolve());

  useEffect(() => {
    if (text === has) return;
    const give = () => {
      pending.current = undefined;
      const draft: DraftToKeep = { version, text };
      const path = `/api/templates/${encodeURIComponent(templateKey)}/draft`;
      turn.current = turn.current.then(async () => {
        // Whatever comes of it: what was there before is no longer what counts.
        setHas(undefined);
        const answer = await askServer<Done>(path, draft, 'PUT');
        const isKept = !('offline' in answer) && answer.status === 200;
        if (isKept) setHas(text);
        setFailures((before) => (isKept ? 0 : before + 1));
      });
    };
    const timer = setTimeout(give, Math.min(PAUSE * 2 ** failures, LONGEST));
    pending.current = give;
    window.addEventListener('online', give);
    return () => {
      clearTimeout(timer);
      window.removeEventListener('online', give);
    };
  }, [templateKey, version, text, has, failures]);

  // What has not been given yet when the page is left is given then.
  useEffect(() => {
    const leave = () => pending.current?.();
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      leave();
    };
  }, []);

  return text === has;
}
