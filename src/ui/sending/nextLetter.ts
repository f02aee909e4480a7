'use client';

import { useEffect, useState } from 'react';
import type { NextAnswer } from '../../core/contract/today';
import { writePath } from '../../core/writing/writePath';
import { askServer } from '../writing/askServer';

/** The letter to read after this one, of what is worth writing now. */
export type NextLetter = NonNullable<NextAnswer['next']> & { href: string };

/** Where a letter of several is written: the next is offered when it has gone. */
export function turnPath({
  start,
  template,
}: Pick<NextLetter, 'start'> & { template?: { key: string } }): string {
  return template ? `${writePath(start, template.key)}&turn=1` : writePath(start);
}

/** Asks for the next letter, once it is wanted. @param from `invoice:LPC-1048`: where this one starts from */
export function useNextLetter(from: string, wanted: boolean): NextLetter | undefined {
  const [next, setNext] = useState<NextLetter>();
  useEffect(() => {
    if (!wanted) return;
    let left = false;
    void askServer<NextAnswer>(`/api/occasions?after=${encodeURIComponent(from)}`).then((answer) => {
      if (left || 'offline' in answer || !answer.body.next) return;
      setNext({ ...answer.body.next, href: turnPath(answer.body.next) });
    });
    return () => {
      left = true;
    };
  }, [from, wanted]);
  return next;
}
