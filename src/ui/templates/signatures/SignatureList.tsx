'use client';

import Link from 'next/link';
import type { ListedSignature } from '../../../core/contract/signatures';
import { NewNamed } from '../named/NewNamed';

/** The signatures by whose they are, and a new one by a name and whose it is. */
export function SignatureList({ signatures }: { signatures: readonly ListedSignature[] }) {
  return (
    <article className="paper passages" aria-labelledby="signatures-title">
      <div className="letter-head">
        <Link href="/templates" className="back-to-list">
          Templates
        </Link>
        <h1 id="signatures-title">Signatures</h1>
        <p>
          A letter is signed with the usual one of whoever it comes from, with the house’s where they have
          none, or with the one that its template asks for.
        </p>
      </div>
      {signatures.length === 0 && (
        <p className="hint">
          There is none yet: letters are signed with the name, title, telephone and email of whoever writes.
        </p>
      )}
      <ul className="passage-list">
        {signatures.map(({ key, name, begins, whose, usual, uses }) => (
          <li key={key}>
            <Link href={`/templates/signatures/${encodeURIComponent(key)}`}>
              <span className="entry-name">{name}</span>
              <span className="entry-note">{begins}</span>
              <span className="entry-note">
                {[
                  whose === undefined ? 'the house’s' : `${whose}’s`,
                  ...(usual ? ['the usual one'] : []),
                  ...(uses === 0
                    ? []
                    : [uses === 1 ? 'asked for by one template' : `asked for by ${uses} templates`]),
                ].join(', ')}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      <NewNamed
        what="signature"
        choices={(id) => (
          <div className="signature-whose">
            <label htmlFor={id}>Whose</label>
            <select id={id} name="house" className="form-select form-select-sm" defaultValue="own">
              <option value="own">My own</option>
              <option value="house">The house’s</option>
            </select>
          </div>
        )}
        send={(form) => ({ house: form.get('house') === 'house' })}
      />
    </article>
  );
}
