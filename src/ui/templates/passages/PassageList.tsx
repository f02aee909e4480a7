'use client';

import Link from 'next/link';
import type { ListedPassage } from '../../../core/contract/passages';
import type { GroupHead } from '../../../core/contract/list';
import { NewNamed } from '../named/NewNamed';
import { UnderGroups } from '../named/UnderGroups';

interface Props {
  passages: readonly ListedPassage[];
  groups: readonly GroupHead[];
}

/** The passages under the groups that templates stand in, and a new one by a name alone. */
export function PassageList({ passages, groups }: Props) {
  return (
    <article className="paper passages" aria-labelledby="passages-title">
      <div className="letter-head">
        <Link href="/templates" className="back-to-list">
          Templates
        </Link>
        <h1 id="passages-title">Passages</h1>
        <p>Text that many templates share. Changed once, it is changed in all of them.</p>
      </div>
      {passages.length === 0 && <p className="hint">There is none yet. Give the first one a name.</p>}
      <UnderGroups all={passages} groups={groups}>
        {(passage) => (
          <Link href={`/templates/passages/${encodeURIComponent(passage.key)}`}>
            <span className="entry-name">{passage.name}</span>
            <span className="entry-note">{passage.begins}</span>
            <span className="entry-note">{usesInWords(passage.uses)}</span>
          </Link>
        )}
      </UnderGroups>
      <NewNamed what="passage" />
    </article>
  );
}

function usesInWords(uses: number): string {
  if (uses === 0) return 'in no template yet';
  return uses === 1 ? 'in one template' : `in ${uses} templates`;
}
