'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { Find } from '../../../core/recognise/find';

interface Props {
  /** whose facts they are */
  name: string | undefined;
  finds: readonly Find[];
  /** it is about to be looked through anew */
  isOld: boolean;
  onMake: (finds: readonly Find[]) => void;
}

/** What was typed into a template and is one client’s alone: a press makes it a smart field. */
export function TypedFacts({ name, finds, isOld, onMake }: Props) {
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const shown = eachOnce(finds).filter((find) => !left.has(nameOf(find)));
  if (shown.length === 0) return null;
  const all = finds.filter((find) => !left.has(nameOf(find)));
  return (
    <details className="typed-facts" role="group" aria-label="Typed, and one client’s alone">
      <summary className="needs-you">
        <span role="status">
          {shown.length === 1 ? 'One thing that was typed is' : `${shown.length} things that were typed are`}{' '}
          {name ?? 'one client'}’s alone, and would be said to everybody
        </span>
      </summary>
      <ul>
        {shown.map((find) => {
          const words = find.words.replace(/\s*\n\s*/g, ' / ');
          const same = all.filter((one) => nameOf(one) === nameOf(find));
          return (
            <li key={nameOf(find)}>
              <q>{words}</q>
              <Button
                size="sm"
                variant="outline-primary"
                disabled={isOld}
                aria-label={`Make “${words}” the field ${find.label}`}
                onClick={() => onMake(same)}
              >
                {find.label}
              </Button>
              <Button
                size="sm"
                variant="link"
                aria-label={`Leave “${words}”`}
                onClick={() => setLeft((before) => new Set([...before, nameOf(find)]))}
              >
                Leave it
              </Button>
            </li>
          );
        })}
      </ul>
      {shown.length > 1 && (
        <Button size="sm" disabled={isOld} onClick={() => onMake(all)}>
          Make them all smart fields
        </Button>
      )}
    </details>
  );
}

function nameOf({ path, words }: Find): string {
  return `${path} ${words}`;
}

function eachOnce(finds: readonly Find[]): Find[] {
  return [...new Map(finds.map((find) => [nameOf(find), find])).values()];
}
