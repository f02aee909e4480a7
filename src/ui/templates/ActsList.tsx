'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { ActTemplates } from '../../core/contract/acts';
import type { Done } from '../../core/contract/refusal';
import { capital } from '../../core/describe/capital';
import { askServer } from '../writing/askServer';

/** What is written when something is done: each act of the work with its own messages, and those that have none yet. */
export function ActsList({ acts }: { acts: readonly ActTemplates[] }) {
  const [said, setSaid] = useState<{ words: string; trouble?: true }>();
  const [busy, setBusy] = useState(false);
  const router = useRouter();

  async function makeFirst(key: string, name: string) {
    setBusy(true);
    const answer = await askServer<Done>(`/api/templates/${encodeURIComponent(key)}/first`, {});
    setBusy(false);
    const error = 'offline' in answer ? 'There is no connection. Nothing was changed.' : answer.body.error;
    if (error !== undefined) return setSaid({ words: error, trouble: true });
    setSaid({ words: `${name} is offered first now.` });
    router.refresh();
  }

  return (
    <article className="paper acts" aria-labelledby="acts-title">
      <div className="letter-head">
        <Link href="/templates" className="back-to-list">
          Templates
        </Link>
        <h1 id="acts-title">Acts of the work</h1>
        <p>
          What is offered when something is done. A template is put to an act in its head, under “Belongs to”.
        </p>
      </div>
      <p className={said?.trouble ? 'trouble' : 'in-order'} role={said?.trouble ? 'alert' : 'status'}>
        {said?.words}
      </p>
      {acts.map(({ act, templates }) => (
        <section key={act} aria-label={capital(act)}>
          <h2>{capital(act)}</h2>
          {templates.length === 0 ? (
            <p className="hint">
              Nothing is written for it yet. <Link href="/templates/new">Make a template</Link>
            </p>
          ) : (
            <ul>
              {templates.map(({ key, name, first, resting }) => (
                <li key={key}>
                  <Link href={`/templates/${encodeURIComponent(key)}`}>{name}</Link>
                  <span className="entry-note">
                    {[first && templates.length > 1 && 'offered first', resting && 'resting']
                      .filter(Boolean)
                      .join(', ')}
                  </span>
                  {!first && templates.length > 1 && (
                    <button
                      type="button"
                      className="btn btn-link"
                      disabled={busy}
                      aria-label={`Offer ${name} first`}
                      onClick={() => void makeFirst(key, name)}
                    >
                      Offer it first
                    </button>
                  )}
                </li>
              ))}
            </ul>
          )}
        </section>
      ))}
    </article>
  );
}
