'use client';

import Link from 'next/link';
import { useCallback, useEffect, useState } from 'react';
import type { ListedDraft } from '../../core/contract/drafts';
import { askServer } from '../writing/askServer';
import { draftKey, dropDraft, goneHere, listDrafts } from '../drafts/drafts';
import { writePath } from '../../core/writing/writePath';
import { forgetDraft } from '../drafts/draftsElsewhere';
import { readStartingPoint } from '../../core/records/which/readStartingPoint';

type Begun = Pick<ListedDraft, 'id' | 'from' | 'name' | 'template' | 'template_key' | 'at'>;

/** Letters that the member has begun, on this device or another, and not sent. */
export function Begun({ owner }: { owner: string }) {
  const [drafts, setDrafts] = useState<Begun[]>([]);
  const load = useCallback(() => {
    void listBegun(owner).then(setDrafts);
  }, [owner]);
  useEffect(load, [load]);
  const drop = async ({ id, from }: Begun) => {
    await dropDraft(draftKey(owner, readStartingPoint(from)!), id);
    setDrafts((before) => before.filter((one) => one.id !== id));
    await forgetDraft(id);
  };
  if (drafts.length === 0) return null;
  return (
    <section className="begun-here" aria-labelledby="begun-title">
      <h2 id="begun-title" className="list-name">
        Begun and not sent
      </h2>
      <ul>
        {drafts.map((draft) => (
          <li key={draft.id}>
            <Link className="entry" prefetch={false} href={writePath(draft.from, draft.template_key)}>
              <span className="entry-name">{draft.template}</span>
              <span className="entry-note">To {draft.name}</span>
            </Link>
            <button
              type="button"
              className="btn btn-link"
              aria-label={`Throw away: ${draft.template} to ${draft.name}`}
              onClick={() => void drop(draft)}
            >
              Throw away
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Those of this device, and those that other devices have given to the server, the newest first. */
async function listBegun(owner: string): Promise<Begun[]> {
  const here = (await listDrafts(owner)).map(
    ({ id, from, name = '', template = '', letter, at = 0 }): Begun => {
      return { id, from, name, template, template_key: letter!.choices.template, at };
    },
  );
  const answer = await askServer<{ drafts?: ListedDraft[] }>('/api/drafts');
  const there = 'offline' in answer ? [] : (answer.body.drafts ?? []);
  const gone = await goneHere();
  // What was thrown away without a connection is so once there is one.
  for (const { id } of there) if (gone.has(id)) void forgetDraft(id);
  const known = new Set([...gone, ...here.map(({ id }) => id)]);
  return [...here, ...there.filter(({ id }) => !known.has(id))].sort((a, b) => b.at - a.at);
}
