'use client';

import { useEffect, useState } from 'react';
import type { PaletteAnswer } from '../../core/contract/palette';
import { hasWords, searchable, wordsWanted } from '../../core/searching/finder';
import { recordPath } from '../records/recordPath';
import { askServer } from '../writing/askServer';
import { writePath } from '../../core/writing/writePath';
import { DOINGS } from './doings';

/** Something that can be gone to. */
export interface Found {
  path: string;
  name: string;
  note?: string;
}

/** What is typed is looked for after a pause of so many milliseconds. */
const PAUSE = 120;

/** Where one can go; only those with all of the words. */
function doingsBy(words: readonly string[]): Found[] {
  return DOINGS.filter(({ name, other = '' }) => hasWords(searchable(name, other), words)).map(
    ({ name, path }) => ({ name, path }),
  );
}

function lettersIn({ letters }: PaletteAnswer): Found[] {
  return letters.map(({ name, from, template, note }) => ({
    path: writePath(from, template?.key),
    name: `Write to ${name}${template ? `: ${template.name}` : ''}`,
    ...(note ? { note } : {}),
  }));
}

/** What is found by what is typed: letters and records that the server knows, then places. `offline`: only places are known. */
export function useFound(typed: string): { found: Found[]; state: 'looking' | 'offline' | 'known' } {
  const find = typed.trim();
  const [told, setTold] = useState<{ find: string; answer?: PaletteAnswer }>();
  useEffect(() => {
    if (!find) return;
    let left = false;
    const timer = setTimeout(() => {
      void askServer<Partial<PaletteAnswer>>(`/api/palette?find=${encodeURIComponent(find)}`).then((got) => {
        if (left) return;
        const { letters, records } = 'offline' in got ? {} : got.body;
        setTold({ find, ...(letters && records ? { answer: { letters, records } } : {}) });
      });
    }, PAUSE);
    return () => {
      left = true;
      clearTimeout(timer);
    };
  }, [find]);
  const doings = doingsBy(wordsWanted(find));
  if (!find) return { found: doings, state: 'known' };
  // What was found by the words before stands until the next is known.
  const answer = told?.answer;
  const state = told?.find !== find ? 'looking' : answer ? 'known' : 'offline';
  if (!answer) return { found: doings, state };
  const records = answer.records.map(({ kind, key, name, note }) => ({
    path: recordPath({ kind, key }),
    name,
    ...(note ? { note } : {}),
  }));
  return { found: [...lettersIn(answer), ...doings, ...records], state };
}
