'use client';

import { useEffect, useState } from 'react';
import { MOST_WORDS } from '../../../core/contract/writing';
import type { TemplateWords } from '../../../core/fitting/listedTemplate';
import { inNames, type Naming } from '../../../core/template/naming';
import { printTemplate } from '../../../core/template/text/printTemplate';
import { askServer } from '../../writing/askServer';
import type { There } from './coming';

/** The templates that are there under some keys, with their words; those that have not come yet are not among them. */
export function useThere(keys: readonly string[], naming: Naming): ReadonlyMap<string, There> {
  const [there, setThere] = useState<ReadonlyMap<string, There>>(new Map());
  const asked = keys.filter((key) => !there.has(key)).slice(0, MOST_WORDS);
  const path = `/api/templates/words?${asked.map((key) => `key=${encodeURIComponent(key)}`).join('&')}`;
  useEffect(() => {
    if (asked.length === 0) return;
    let latest = true;
    void askServer<TemplateWords[]>(path).then((answer) => {
      if (!latest || 'offline' in answer || answer.status !== 200) return;
      setThere((before) => {
        const next = new Map(before);
        for (const { key, version, head, document } of answer.body)
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
  return there;
}
