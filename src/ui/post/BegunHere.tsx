'use client';

import Link from 'next/link';
import { useCallback, useEffect, useState } from 'react';
import { dropDraft, listDrafts, type ListedDraft } from '../writing/drafts';

/** Letters that were begun on this device and have not been sent. */
export function BegunHere({ owner }: { owner: string }) {
  const [drafts, setDrafts] = useState<ListedDraft[]>([]);
  const load = useCallback(() => void listDrafts(owner).then(setDrafts), [owner]);
  useEffect(load, [load]);
  if (drafts.length === 0) return null;
  return (
    <section className="begun-here" aria-labelledby="begun-title">
      <h2 id="begun-title" className="list-name">
        Begun on this device
      </h2>
      <ul>
        {drafts.map(({ id, key, from, name, template, letter }) => (
          <li key={id}>
            <Link
              className="entry"
              href={`/write?from=${encodeURIComponent(from)}&template=${encodeURIComponent(letter!.choices.template)}`}
            >
              <span className="entry-name">{template}</span>
              <span className="entry-note">To {name}</span>
            </Link>
            <button
              type="button"
              className="btn btn-link"
              aria-label={`Throw away: ${template} to ${name}`}
              onClick={() => void dropDraft(key, id).then(load)}
            >
              Throw away
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
