'use client';

import { useEffect, useState } from 'react';
import type { PaletteAnswer } from '../../core/contract/palette';
import { hasWords, searchable, wordsWanted } from '../../core/searching/finder';
import { whatIsKept } from '../device/whatIsKept';
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
/** So many milliseconds the server is waited for. */
const PATIENCE = 5_000;

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

async function ask(find: string): Promise<{ answer: PaletteAnswer } | { kept: Found[] }> {
  const path = `/api/palette?find=${encodeURIComponent(find)}`;
  const got = await askServer<Partial<PaletteAnswer>>(path, undefined, 'GET', PATIENCE);
  const { letters, records } = 'offline' in got ? {} : got.body;
  return letters && records ? { answer: { letters, records } } : { kept: await keptBy(find) };
}

/** More than these of what is kept are not shown. */
const MOST_KEPT = 12;

/** What is kept on this device and has all of the words: letters alone, where somebody says that they want to write. */
async function keptBy(find: string): Promise<Found[]> {
  const [first, ...others] = wordsWanted(find);
  const isWriting = first === 'write';
  const words = isWriting ? others.filter((word) => word !== 'to') : wordsWanted(find);
  const all = (await whatIsKept()).filter(({ path }) => !isWriting || path.startsWith('/write?'));
  return all.filter(({ name }) => hasWords(searchable(name), words)).slice(0, MOST_KEPT);
}

/**
 * What is found by what is typed: letters and records that the server knows, then places. Without a connection what is kept on this
 * device (`kept`), or else places (`offline`).
 */
export function useFound(typed: string): { found: Found[]; state: 'looking' | 'kept' | 'offline' | 'known' } {
  const find = typed.trim();
  const [told, setTold] = useState<{ find: string; answer?: PaletteAnswer; kept?: Found[] }>();
  useEffect(() => {
    if (!find) return;
    let left = false;
    const timer = setTimeout(() => {
      void ask(find).then((got) => {
        if (!left) setTold({ find, ...got });
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
  const kept = told?.kept?.length ? told.kept : undefined;
  const state = told?.find !== find ? 'looking' : answer ? 'known' : kept ? 'kept' : 'offline';
  if (!answer) return { found: kept ?? doings, state };
  const records = answer.records.map(({ kind, key, name, note }) => ({
    path: recordPath({ kind, key }),
    name,
    ...(note ? { note } : {}),
  }));
  return { found: [...lettersIn(answer), ...doings, ...records], state };
}
