'use client';

import { useEffect, useRef, useState } from 'react';
import type { HolesFound } from '../../../core/contract/holes';
import type { WordsFacts } from '../../../core/contract/templateWords';
import type { Template } from '../../../core/template/template';
import { startBeside } from '../../beside/startBeside';

/** The records are looked through when nothing was typed for so many milliseconds. */
const PAUSE = 600;

/**
 * Counts what a template's letters would lack, over all clients, while it is written: beside the page, which never waits for it.
 * @param template as it was read last; undefined while its words have mistakes
 * @returns isOld: whether what was found is of earlier words
 */
export function useHoles(
  key: string,
  template: Template | undefined,
  facts: WordsFacts,
): { found: HolesFound | undefined; isOld: boolean; lookThroughAll: () => void } {
  const worker = useRef<Worker>(undefined);
  const [found, setFound] = useState<HolesFound>();
  /** what the worker was asked of last, and what it has answered for */
  const asked = useRef<Template>(undefined);
  const [answered, setAnswered] = useState<Template>();
  const [all, setAll] = useState(false);

  useEffect(() => () => worker.current?.terminate(), []);

  useEffect(() => {
    if (!template) return;
    const timer = setTimeout(() => {
      if (!worker.current) {
        worker.current = startBeside('holes');
        worker.current.onmessage = ({ data }: MessageEvent<HolesFound>) => {
          setFound(data);
          setAnswered(asked.current);
        };
        worker.current.onerror = () =>
          setFound({ type: 'failed', why: 'The records could not be looked through.' });
      }
      asked.current = template;
      worker.current.postMessage({ template: { ...template, key, version: 0 }, facts, all });
    }, PAUSE);
    return () => clearTimeout(timer);
  }, [key, template, facts, all]);

  return { found, isOld: answered !== template, lookThroughAll: () => setAll(true) };
}
