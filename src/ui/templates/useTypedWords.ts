'use client';

import { useCallback, useEffect, useRef, useState } from 'react';

export interface TypedWords {
  /** the version they were written from */
  version: number;
  text: string;
  /** when, in milliseconds */
  at?: number;
}

/**
 * A template's words as they are typed, kept on this device until they are kept as a version: a link pressed, a page
 * closed or a machine that stops loses none of them.
 * @param elsewhere what the server has of them: the later of both is written on
 */
export function useTypedWords(
  owner: string,
  template: string,
  elsewhere?: TypedWords,
): [TypedWords | undefined, (words: TypedWords | undefined) => void] {
  const key = `fair-quill words ${owner} ${template}`;
  const [typed, setTyped] = useState<TypedWords>();

  const found = useRef(elsewhere);
  useEffect(() => setTyped(later(read(key), found.current)), [key]);

  const keep = useCallback(
    (words: TypedWords | undefined) => {
      setTyped(words);
      try {
        if (words) localStorage.setItem(key, JSON.stringify({ ...words, at: Date.now() }));
        else localStorage.removeItem(key);
      } catch {
        // Without storage they live as long as the page.
      }
    },
    [key],
  );
  return [typed, keep];
}

function later(here: TypedWords | undefined, there: TypedWords | undefined): TypedWords | undefined {
  return here && there ? ((there.at ?? 0) > (here.at ?? 0) ? there : here) : (here ?? there);
}

/** Leaves none of them on the device. */
export function clearTypedWords(): void {
  for (const key of Object.keys(localStorage))
    if (key.startsWith('fair-quill words ')) localStorage.removeItem(key);
}

function read(key: string): TypedWords | undefined {
  try {
    return (JSON.parse(localStorage.getItem(key) ?? 'null') as TypedWords | null) ?? undefined;
  } catch {
    return undefined;
  }
}
