'use client';

import Link from 'next/link';
import type { LetterheadToKeep } from '../../../core/contract/letterhead';
import type { WordsFacts } from '../../../core/contract/templateWords';
import type { LetterheadPart } from '../../../core/template/template';
import { NamedDesk } from '../named/NamedDesk';
import { useNamedWords } from '../named/useNamedWords';
import { useInView } from '../useInView';

interface Props {
  owner: string;
  part: LetterheadPart;
  words: LetterheadToKeep;
  facts: WordsFacts;
}

const NAMES = { top: 'The top of every letter', foot: 'The foot of every letter' } as const;

/** A part of the letterhead on a page of its own; the other one is a press away. */
export function LetterheadDesk({ owner, part, words, facts }: Props) {
  const writing = useNamedWords({
    owner,
    what: 'letterhead',
    words: { key: part, name: NAMES[part], ...words },
    more: {},
    kept: 'Kept. It stands around every letter whose template wants one.',
  });
  const other = part === 'top' ? 'foot' : 'top';
  return (
    <NamedDesk
      kind="letterhead"
      writing={writing}
      startsFrom="client"
      facts={facts}
      view={useInView('client')}
      removable={false}
      about={
        <>
          <p>
            The house puts it around its letters: with a logo, say, or the small print. Without words there is
            none; a template may want none.
          </p>
          <p>
            <Link href={`/templates/letterhead/${other}`}>{NAMES[other]}</Link>
          </p>
        </>
      }
      choices={null}
    />
  );
}
