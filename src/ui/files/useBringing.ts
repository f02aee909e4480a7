'use client';

import { useCallback, useEffect, useState } from 'react';
import { inTurn } from './inTurn';

/** So many files are on their way at once; the others wait. */
const AT_ONCE = 2;

/** What is said of a file on its way: how much of it has arrived, from 0 to 1; or what is wrong, and what can be done then. */
interface Told {
  share: number;
  /** others go before it */
  waits?: boolean;
  trouble?: string;
  acts?: readonly (readonly [words: string, act: () => void])[];
  /** tries it again, where it may go well another time */
  again?: () => void;
}

export interface Bringing {
  file: File;
  told: Told;
  /** calls it off where it is on its way, and is no longer told of */
  leave: () => void;
}

/** What brings a file in: it tells how much has arrived, and gives what is wrong; undefined: nothing is. */
export type Work = (on: {
  share: (share: number) => void;
  signal: AbortSignal;
}) => Promise<Wrong | undefined>;

interface Wrong {
  trouble: string;
  /** it may go well another time */
  again?: boolean;
  /** what else can be done with it */
  acts?: readonly (readonly [words: string, work: Work])[];
}

/**
 * The files on their way to the server, some at once. One that did not come in is tried again when there is a connection again;
 * whoever goes away before is asked.
 */
export function useBringing(): {
  bringing: readonly Bringing[];
  bring: (file: File, work: Work) => void;
} {
  const [bringing, setBringing] = useState<readonly Bringing[]>([]);
  const [begin] = useState(() => inTurn(AT_ONCE));

  const bring = useCallback(
    (file: File, first: Work) => {
      const off = new AbortController();
      const leave = () => {
        off.abort();
        setBringing((now) => now.filter((one) => one.file !== file));
      };
      const tell = (told: Told) => {
        if (off.signal.aborted) return;
        setBringing((now) => {
          const one = { file, told, leave };
          return now.some((other) => other.file === file)
            ? now.map((other) => (other.file === file ? one : other))
            : [...now, one];
        });
      };
      const start = (work: Work) => {
        tell({ share: 0, waits: true });
        begin(async () => {
          if (off.signal.aborted) return;
          tell({ share: 0 });
          const wrong = await work({ share: (share) => tell({ share }), signal: off.signal });
          if (!wrong) return leave();
          const again = wrong.again ? () => start(work) : undefined;
          tell({
            share: 0,
            trouble: wrong.trouble,
            acts: [
              ...(wrong.acts ?? []).map(([words, next]) => [words, () => start(next)] as const),
              ...(again ? [['Try again', again] as const] : []),
            ],
            ...(again ? { again } : {}),
          });
        });
      };
      start(first);
    },
    [begin],
  );

  useEffect(() => {
    const goOn = () => {
      for (const { told } of bringing) told.again?.();
    };
    addEventListener('online', goOn);
    return () => removeEventListener('online', goOn);
  }, [bringing]);

  const isOpen = bringing.some(({ told }) => told.trouble === undefined || told.again);
  useEffect(() => {
    if (!isOpen) return;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    addEventListener('beforeunload', ask);
    return () => removeEventListener('beforeunload', ask);
  }, [isOpen]);

  return { bringing, bring };
}
