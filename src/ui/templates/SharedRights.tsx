'use client';

import Link from 'next/link';
import { useState } from 'react';
import type { Done } from '../../core/contract/refusal';
import type { MemberRights } from '../../core/contract/rights';
import { askServer } from '../writing/askServer';

interface Props {
  members: readonly MemberRights[];
  /** whether whoever looks at it may set it */
  own: boolean;
}

/** Who may change what everyone writes with; an owner always may, and says who else. */
export function SharedRights({ members, own }: Props) {
  const [set, setSet] = useState<Readonly<Record<string, boolean>>>({});
  const [busy, setBusy] = useState<string>();
  const [said, setSaid] = useState<{ trouble?: string; kept?: string }>({});

  async function put({ key, name }: MemberRights, changesShared: boolean) {
    const show = (may: boolean) => setSet((now) => ({ ...now, [key]: may }));
    setBusy(key);
    setSaid({});
    show(changesShared);
    const path = `/api/members/${encodeURIComponent(key)}/rights`;
    const answer = await askServer<Done>(path, { changesShared }, 'PUT');
    setBusy(undefined);
    const trouble = 'offline' in answer ? 'There is no connection. Nothing was changed.' : answer.body.error;
    if (trouble === undefined)
      return setSaid({
        kept: changesShared ? `${name} may change them.` : `${name} may no longer change them.`,
      });
    show(!changesShared);
    setSaid({ trouble });
  }

  return (
    <article className="paper passages" aria-labelledby="rights-title">
      <div className="letter-head">
        <Link href="/templates/arrange" className="back-to-list back-always">
          Arrange
        </Link>
        <h1 id="rights-title">Who may change what everyone writes with</h1>
        <p>
          Templates of everyone, their groups, passages, the house’s signatures and letterhead. Whoever may
          not still writes with them, and makes templates of their own.
        </p>
      </div>
      <ul className="passage-list rights-list">
        {members.map((member) => (
          <li key={member.key}>
            {member.owner || !own ? (
              <p>
                {member.name}
                <span className="entry-note">
                  {member.owner ? 'an owner, always' : member.changesShared ? 'may' : 'may not'}
                </span>
              </p>
            ) : (
              <label className="check">
                <input
                  type="checkbox"
                  checked={set[member.key] ?? member.changesShared}
                  disabled={busy !== undefined}
                  onChange={(event) => void put(member, event.target.checked)}
                />
                {member.name}
              </label>
            )}
          </li>
        ))}
      </ul>
      <p role="status" className={`rights-said ${said.trouble ? 'trouble' : 'in-order'}`}>
        {said.trouble ?? said.kept}
      </p>
    </article>
  );
}
