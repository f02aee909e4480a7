'use client';

import { useState } from 'react';
import { whenKept } from '../device/whenKept';
import { forgetDraft } from './draftsElsewhere';
import { dropDraft, type Draft } from './drafts';

interface Props {
  draftKey: string;
  drafts: readonly Draft[];
  onOpen: (draft: Draft) => void;
}

/** Letters from the same record that were begun before: to be written on, or thrown away. */
export function OlderDrafts({ draftKey, drafts, onOpen }: Props) {
  const [dropped, setDropped] = useState<ReadonlySet<string>>(new Set());
  const open = drafts.filter(({ id }) => !dropped.has(id));
  if (open.length === 0) return null;
  return (
    <ul className="notice other-drafts" aria-label="Begun before">
      {open.map((draft) => (
        <li key={draft.id}>
          “{draft.template ?? 'A letter'}” was begun before{draft.at ? `, ${whenKept(draft.at)}` : ''}.{' '}
          <button type="button" className="btn btn-link" onClick={() => onOpen(draft)}>
            Write on
          </button>
          <button
            type="button"
            className="btn btn-link"
            onClick={() => {
              setDropped((before) => new Set([...before, draft.id]));
              void dropDraft(draftKey, draft.id).then(() => forgetDraft(draft.id));
            }}
          >
            Throw away
          </button>
        </li>
      ))}
    </ul>
  );
}

/** The same letter is written in another tab, or on another device, which has kept other words since. */
export function Overtaken({
  where,
  onMine,
  onTheirs,
}: {
  where: 'in another tab' | 'on another device';
  onMine: () => void;
  onTheirs: () => void;
}) {
  return (
    <div className="notice" role="alert">
      <p>
        This letter has been changed {where}. What you write here is not kept until you say which of the two
        stands.
      </p>
      <button type="button" className="btn btn-link" onClick={onTheirs}>
        Take what stands there
      </button>
      <button type="button" className="btn btn-link" onClick={onMine}>
        Keep what stands here
      </button>
    </div>
  );
}
