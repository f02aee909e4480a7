'use client';

import { createContext } from 'react';

/** In how many templates the facts of a form are said, by the paths of their controls. */
export const Said = createContext<Readonly<Record<string, number>>>({});

/** "Said in 14 templates." */
export function saidInWords(count: number): string {
  return count === 1 ? 'Said in 1 template.' : `Said in ${count} templates.`;
}

/** Those of the facts on a kind of record, by their names alone. */
export function saidOf(kind: string, said: Readonly<Record<string, number>>): Record<string, number> {
  const begin = `${kind}.`;
  return Object.fromEntries(
    Object.entries(said).flatMap(([fact, count]) =>
      fact.startsWith(begin) ? [[fact.slice(begin.length), count]] : [],
    ),
  );
}
