'use client';

import Link from 'next/link';
import type { GroupHead } from '../../../core/contract/list';
import type { ListedShorthand } from '../../../core/contract/shorthand';
import { NewNamed } from '../named/NewNamed';
import { UnderGroups } from '../named/UnderGroups';

interface Props {
  shorthand: readonly ListedShorthand[];
  groups: readonly GroupHead[];
  /** whether the house's may be made */
  changesShared: boolean;
}

/** What is typed short, under the groups that templates stand in, and a new one by its characters. */
export function ShorthandList({ shorthand, groups, changesShared }: Props) {
  return (
    <article className="paper passages" aria-labelledby="shorthand-title">
      <div className="letter-head">
        <Link href="/templates" className="back-to-list">
          Templates
        </Link>
        <h1 id="shorthand-title">Shorthand</h1>
        <p>
          A few characters that turn into longer text while you type a letter, a subject or a template: end
          them with a space, Tab or Enter. Undo brings them back; Ctrl or Cmd + J lists them all.
        </p>
      </div>
      {shorthand.length === 0 && (
        <p className="hint">There is none yet. Say which characters the first one has.</p>
      )}
      <UnderGroups all={shorthand} groups={groups}>
        {(one) => (
          <Link href={`/templates/shorthand/${encodeURIComponent(one.key)}`}>
            <span className="entry-name">{one.name}</span>
            <span className="entry-note">{one.begins}</span>
            <span className="entry-note">{one.own ? 'my own' : 'the house’s'}</span>
          </Link>
        )}
      </UnderGroups>
      <NewNamed
        what="shorthand"
        called={{ placeholder: 'Its characters', missing: 'Say which characters are typed.' }}
        choices={(id) => (
          <div className="signature-whose">
            <label htmlFor={id}>Whose</label>
            <select id={id} name="house" className="form-select form-select-sm" defaultValue="own">
              <option value="own">My own</option>
              {changesShared && <option value="house">The house’s</option>}
            </select>
          </div>
        )}
        send={(form) => ({ house: form.get('house') === 'house' })}
      />
    </article>
  );
}
