'use client';

import { useEffect, useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { Refusal } from '../../core/contract/refusal';
import type { KeepAnswer } from '../../core/contract/templateWords';
import type { BringBack, VersionCompared, VersionEntry } from '../../core/contract/versions';
import { askServer } from '../writing/askServer';
import { signInAgain } from '../writing/useWriting';
import { VersionWords } from './VersionWords';

interface Props {
  templateKey: string;
  /** the version that stands */
  standing: number;
  onKept: () => void;
}

/** The versions of a template: each can be compared with the one that stands, and brought back. */
export function VersionsSide({ templateKey, standing, onKept }: Props) {
  const [versions, setVersions] = useState<VersionEntry[]>();
  const [chosen, setChosen] = useState<number>();
  const [compared, setCompared] = useState<VersionCompared>();
  const [trouble, setTrouble] = useState<string>();
  const [busy, setBusy] = useState(false);
  const [kept, setKept] = useState<string>();
  const path = `/api/templates/${encodeURIComponent(templateKey)}/versions`;

  useEffect(() => {
    let latest = true;
    void askServer<VersionEntry[] | Refusal>(path).then((answer) => {
      if (!latest) return;
      if ('offline' in answer)
        return setTrouble('There is no connection: the versions could not be fetched.');
      if (!Array.isArray(answer.body)) return setTrouble(answer.body.error);
      setTrouble(undefined);
      setVersions(answer.body);
    });
    return () => {
      latest = false;
    };
  }, [path, standing]);

  useEffect(() => {
    if (chosen === undefined) return;
    let latest = true;
    void askServer<VersionCompared | Refusal>(`${path}/${chosen}`).then((answer) => {
      if (!latest) return;
      if ('offline' in answer)
        return setTrouble('There is no connection: this version could not be fetched.');
      if ('error' in answer.body) return setTrouble(answer.body.error);
      setTrouble(undefined);
      setCompared(answer.body);
    });
    return () => {
      latest = false;
    };
  }, [path, chosen, standing]);

  async function bringBack(version: number) {
    setBusy(true);
    setTrouble(undefined);
    const answer = await askServer<KeepAnswer | Refusal>(`${path}/${version}`, {
      standing,
    } satisfies BringBack);
    setBusy(false);
    if ('offline' in answer) return setTrouble('There is no connection. Nothing was changed.');
    const { body } = answer;
    switch (body.result) {
      case 'kept':
        setChosen(undefined);
        setCompared(undefined);
        setKept(`Version ${version} is back, as version ${body.version}.`);
        return onKept();
      case 'overtaken':
        setTrouble(`${body.by ?? 'Somebody'} has kept version ${body.version} meanwhile. It is shown now.`);
        return onKept();
      case undefined:
        return body.signedOut ? signInAgain() : setTrouble(body.error);
      default:
        setTrouble('This version cannot be brought back: the template is no longer there.');
    }
  }

  // What nobody kept came with the application.
  const shipped = versions?.find(({ by }) => by === undefined);
  return (
    <div className="versions">
      {trouble && (
        <p className="trouble" role="alert">
          {trouble}
        </p>
      )}
      <p className="in-order" role="status">
        {kept}
      </p>
      {!versions && !trouble && (
        <p className="hint" role="status">
          Fetching the versions …
        </p>
      )}
      {shipped && shipped.version !== standing && (
        <p className="shipped">
          <button
            type="button"
            className="btn btn-link"
            disabled={busy}
            onClick={() => void bringBack(shipped.version)}
          >
            Put the shipped wording back
          </button>{' '}
          <span className="entry-note">as the next version: nothing that was written since is lost.</span>
        </p>
      )}
      <ol>
        {versions?.map(({ version, by, when }) => (
          <li key={version}>
            {version === standing ? (
              <p className="version-line">
                <strong>Version {version}</strong>, from which letters are written
                <span className="entry-note">{[by ?? 'as it came', when].filter(Boolean).join(', ')}</span>
              </p>
            ) : (
              <button
                type="button"
                className="btn btn-link version-line"
                aria-expanded={chosen === version}
                onClick={() => {
                  setKept(undefined);
                  setCompared(undefined);
                  setChosen(chosen === version ? undefined : version);
                }}
              >
                Version {version}
                <span className="entry-note">{[by ?? 'as it came', when].filter(Boolean).join(', ')}</span>
              </button>
            )}
            {chosen === version && (
              <section aria-label={`What has changed since version ${version}`} className="version-compared">
                {compared ? (
                  <>
                    <VersionWords compared={compared} />
                    <Button disabled={busy} onClick={() => void bringBack(version)}>
                      Bring version {version} back
                    </Button>
                  </>
                ) : (
                  <p className="hint" role="status">
                    Comparing …
                  </p>
                )}
              </section>
            )}
          </li>
        ))}
      </ol>
    </div>
  );
}
