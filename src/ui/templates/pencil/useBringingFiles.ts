'use client';

import { useCallback, useEffect, useRef } from 'react';
import { MOST_ATTACHED, tooLargeFile, type FileAnswer, type OwnFile } from '../../../core/contract/files';
import type { Refusal } from '../../../core/contract/refusal';
import { sendBytes } from '../bringing/sendBytes';
import { useBringing, type Bringing } from '../bringing/useBringing';

/** Brings files in that become the business's own. @param onBrought told of each when it is kept */
export function useBringingFiles(onBrought: (file: OwnFile) => void): {
  bringing: readonly Bringing[];
  bring: (file: File) => void;
} {
  const { bringing, tell, leave } = useBringing();
  const latest = useRef(onBrought);
  useEffect(() => {
    latest.current = onBrought;
  });
  const bring = useCallback(
    (file: File) => {
      const go = async (over?: string) => {
        if (file.size > MOST_ATTACHED) return tell(file, { share: 0, trouble: tooLargeFile(file.size) });
        tell(file, { share: 0 });
        const asked = new URLSearchParams({ name: file.name, ...(over ? { over } : {}) });
        const answer = await sendBytes<FileAnswer | Refusal>(`/api/files?${asked}`, file, (share) =>
          tell(file, { share }),
        );
        const again = [['Try again', () => void go(over)]] as const;
        if ('offline' in answer)
          return tell(file, {
            share: 0,
            trouble: 'There is no connection. It has not been brought in.',
            acts: again,
          });
        const { body } = answer;
        if (body?.result === 'done') {
          leave(file);
          return latest.current({ name: body.name, size: body.size });
        }
        if (body?.result === 'taken')
          return tell(file, {
            share: 0,
            trouble: body.error,
            acts: [
              ['Put this one in its place, in every template', () => void go(body.sha256)],
              ['Keep both', () => void go('beside')],
            ],
          });
        const trouble = body?.error ?? NO_ANSWER;
        tell(file, { share: 0, trouble, ...(body?.result === 'wrong' ? {} : { acts: again }) });
      };
      void go();
    },
    [tell, leave],
  );
  return { bringing, bring };
}

const NO_ANSWER = 'The server did not answer properly. It has not been brought in.';
