'use client';

import { useEffect, useState } from 'react';
import { MOST_WORDS } from '../../../core/contract/writing';
import type { TemplateWords } from '../../../core/fitting/listedTemplate';
import { inNames, type Naming } from '../../../core/template/naming';
import { printTemplate } from '../../../core/template/text/printTemplate';
import { askServer } from '../../writing/askServer';
import type { There } from './coming';

/**
 * The templates that are there under some keys, with their words.
 * @returns those that have come, and whether all have that will
 */
export function useThere(
  keys: readonly string[],
  naming: Naming,
): { there: ReadonlyMap<string, There>; isWhole: boolean } {
  const [there, setThere] = useState<ReadonlyMap<string, There>>(new Map());
  /** those that will not come */
  const [missing, setMissing] = useState<ReadonlySet<string>>(new Set());
  const asked = keys.filter((key) => !there.has(key) && !missing.has(key)).slice(0, MOST_WORDS);
  const path = `/api/templates/words?${asked.map((key) => `key=${encodeURIComponent(key)}`).join('&')}`;
  useEffect(() => {
    if (asked.length === 0) return;
    let latest = true;
    void askServer<TemplateWords[]>(path).then((answer) => {
      if (!latest) return;
      const words = 'offline' in answer || answer.status !== 200 ? [] : answer.body;
      const came = new Set(words.map(({ key }) => key));
      setMissing((before) => new Set([...before, ...asked.filter((key) => !came.has(key))]));
      setThere((before) => {
        const next = new Map(before);
        for (const { key, version, head, document } of words)
          next.set(key, { key, version, text: printTemplate(inNames({ head, document }, naming)) });
        return next;
      });
    });
    return () => {
      latest = false;
    };
    // What is asked stands in the path.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [path]);
  return { there, isWhole: asked.length === 0 };
}
