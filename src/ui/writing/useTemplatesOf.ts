'use client';

import { useMemo } from 'react';
import { templatesOf } from '../../core/writing/letter';
import type { LetterView } from './letterView';

/** The keys of the templates that a letter is of, its own first: the same array until they are others. Undefined: there is none. */
export function useTemplatesOf(view: LetterView | undefined): readonly string[] | undefined {
  const keys = JSON.stringify(view ? templatesOf(view.choices) : []);
  return useMemo(() => {
    const all = JSON.parse(keys) as string[];
    return all.length ? all : undefined;
  }, [keys]);
}
