'use client';

import { useCallback, useEffect, useState } from 'react';
import { inTurn } from './inTurn';

/** So many files are on their way at once; the others wait. */
const AT_ONCE = 2;

/** What is said of a file on its way: how much of it has arrived, from 0 to 1; or what is wrong, and what can be done then. */
export interface Told {
  share: number;
  /** others go before it */
  waits?: boolean;
  trouble?: string;
  acts?: readonly (readonly [words: string, act: () => void])[];
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

export interface Wrong {
  trouble: string;
  /** it may go well another time */
  again?: boolean;
  /** what else can be done with it */
  acts?: readonly (readonly [words: string, work: Work])[];
}

/** The files on their way to the server, some at once; whoever goes away meanwhile is asked. */
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
          const acts = [...(wrong.acts ?? []), ...(wrong.again ? [['Try again', work] as const] : [])];
          tell({
            share: 0,
            trouble: wrong.trouble,
            acts: acts.map(([words, next]) => [words, () => start(next)]),
          });
        });
      };
      start(first);
    },
    [begin],
  );

  const isOnItsWay = bringing.some(({ told }) => told.trouble === undefined);
  useEffect(() => {
    if (!isOnItsWay) return;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    addEventListener('beforeunload', ask);
    return () => removeEventListener('beforeunload', ask);
  }, [isOnItsWay]);

  return { bringing, bring };
}
