'use client';

import { useCallback, useState } from 'react';

/** What is said of a file on its way: how much of it has arrived, from 0 to 1; or what is wrong, and what can be done then. */
export interface Told {
  share: number;
  trouble?: string;
  acts?: readonly (readonly [words: string, act: () => void])[];
}

export interface Bringing {
  file: File;
  told: Told;
  /** is no longer told of */
  leave: () => void;
}

/** The files on their way to the server. */
export function useBringing(): {
  bringing: readonly Bringing[];
  tell: (file: File, told: Told) => void;
  leave: (file: File) => void;
} {
  const [bringing, setBringing] = useState<readonly Bringing[]>([]);
  const leave = useCallback((file: File) => setBringing((now) => now.filter((one) => one.file !== file)), []);
  const tell = useCallback(
    (file: File, told: Told) =>
      setBringing((now) =>
        now.some((one) => one.file === file)
          ? now.map((one) => (one.file === file ? { ...one, told } : one))
          : [...now, { file, told, leave: () => leave(file) }],
      ),
    [leave],
  );
  return { bringing, tell, leave };
}
