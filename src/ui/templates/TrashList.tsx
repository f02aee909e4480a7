'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Refusal } from '../../core/contract/refusal';
import type { TemplateAnswer, TrashedEntry } from '../../core/contract/templates';
import { askServer } from '../writing/askServer';

interface Props {
  templates: readonly TrashedEntry[];
}

/** The templates that were thrown away, each to be put back. */
export function TrashList({ templates }: Props) {
  const [problem, setProblem] = useState<{ key: string; words: string }>();
  const [back, setBack] = useState<{ key: string; name: string }>();
  const [busy, setBusy] = useState<string>();
  const router = useRouter();

  async function putBack(key: string, name: string) {
    setBusy(key);
    setProblem(undefined);
    const path = `/api/templates/${encodeURIComponent(key)}/trash`;
    const answer = await askServer<TemplateAnswer | Refusal>(path, {}, 'DELETE');
    setBusy(undefined);
    if ('offline' in answer)
      return setProblem({ key, words: 'There is no connection. It is still in the trash.' });
    if (answer.body.result !== 'done') return setProblem({ key, words: answer.body.error });
    setBack({ key, name });
    router.refresh();
  }

  return (
    <article className="paper trash" aria-labelledby="trash-title">
      <div className="letter-head">
        <Link href="/templates" className="back-to-list">
          Templates
        </Link>
        <h1 id="trash-title">Trash</h1>
        <p>What stands here is offered to nobody. It is kept until it is put back.</p>
      </div>
      <p className="trash-status" role="status">
        {back && (
          <>
            <Link href={`/templates/${back.key}`}>{back.name}</Link> is back where it stood.
          </>
        )}
      </p>
      {templates.length === 0 ? (
        <p className="hint">Nothing is in the trash.</p>
      ) : (
        <ul>
          {templates.map(({ key, name, when }) => (
            <li key={key} className="contents-row">
              <span className="contents-name">
                {name}
                <span className="entry-note">thrown away {when}</span>
                {problem?.key === key && (
                  <span className="problem" role="alert">
                    {problem.words}
                  </span>
                )}
              </span>
              <button
                type="button"
                className="btn btn-link"
                aria-label={`Put ${name} back`}
                disabled={busy === key}
                onClick={() => void putBack(key, name)}
              >
                Put back
              </button>
            </li>
          ))}
        </ul>
      )}
    </article>
  );
}
