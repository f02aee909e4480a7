'use client';

import { useEffect, useState } from 'react';
import { readShared, wordsAreIn, type Shared } from '../device/shared';
import type { LetterStore } from './letterStore';

const NONE: Shared['files'] = [];

/**
 * Takes what was shared to the application into the letter: its words at once; its files are given, to be brought in.
 * @param wanted once the letter is there that it is for
 */
export function useShared(store: LetterStore, wanted: boolean): Shared['files'] {
  const [files, setFiles] = useState(NONE);
  useEffect(() => {
    if (!wanted) return;
    let left = false;
    void readShared().then(async (shared) => {
      if (left || !shared) return;
      left = true;
      if (shared.words) store.putParagraphs(shared.words);
      setFiles(shared.files);
      await wordsAreIn();
      // Once: a page that is loaded again is another letter's, or this one's as it is kept.
      const { pathname, search } = window.location;
      window.history.replaceState(null, '', pathname + search.replace(/&shared=1/, ''));
    });
    return () => {
      left = true;
    };
  }, [store, wanted]);
  return files;
}
