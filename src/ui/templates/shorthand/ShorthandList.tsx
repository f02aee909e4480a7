'use client';

import Link from 'next/link';
import { WITHOUT_GROUP, type GroupHead } from '../../../core/contract/list';
import type { ListedShorthand } from '../../../core/contract/shorthand';
import { GroupInitial } from '../GroupInitial';
import { NewNamed } from '../named/NewNamed';

interface Props {
  shorthand: readonly ListedShorthand[];
  groups: readonly GroupHead[];
  /** whether the house's may be made */
  changesShared: boolean;
}

/** What is typed short, under the groups that templates stand in, and a new one by its characters. */
export function ShorthandList({ shorthand, groups, changesShared }: Props) {
  const sorted = [...groups.filter(({ key }) => key), WITHOUT_GROUP]
    .map((group) => ({ ...group, own: shorthand.filter((one) => (one.group ?? '') === group.key) }))
    .filter(({ own }) => own.length > 0);
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
      {sorted.map(({ key, name, initial, tint, own }) => (
        <section key={key} aria-label={name}>
          {sorted.length > 1 && (
            <h2 className="group-name">
              <GroupInitial initial={initial} tint={tint} />
              {name}
            </h2>
          )}
          <ul className="passage-list">
            {own.map((one) => (
              <li key={one.key}>
                <Link href={`/templates/shorthand/${encodeURIComponent(one.key)}`}>
                  <span className="entry-name">{one.name}</span>
                  <span className="entry-note">{one.begins}</span>
                  <span className="entry-note">{one.own ? 'my own' : 'the house’s'}</span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
      ))}
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
