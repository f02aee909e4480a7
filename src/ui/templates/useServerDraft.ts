'use client';

import { useEffect, useRef, useState } from 'react';
import type { Done } from '../../core/contract/refusal';
import type { DraftToKeep } from '../../core/contract/templateWords';
import { askServer } from '../writing/askServer';
import type { TypedWords } from './useTypedWords';

/** What was written is given to the server after so many milliseconds without a key. */
const PAUSE = 1200;

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
  const [has, setHas] = useState(known ?? null);
  const text = typed?.text ?? null;
  const version = typed?.version ?? 1;
  const pending = useRef<() => void>(undefined);

  useEffect(() => {
    if (text === has) return;
    let latest = true;
    const give = () => {
      pending.current = undefined;
      const draft: DraftToKeep = { version, text };
      void askServer<Done>(`/api/templates/${encodeURIComponent(templateKey)}/draft`, draft, 'PUT').then(
        (answer) => latest && !('offline' in answer) && answer.status === 200 && setHas(text),
      );
    };
    const timer = setTimeout(give, PAUSE);
    pending.current = give;
    return () => {
      latest = false;
      clearTimeout(timer);
    };
  }, [templateKey, version, text, has]);

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
