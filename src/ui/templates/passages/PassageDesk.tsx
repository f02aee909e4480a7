'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { lazy, Suspense, useCallback, useEffect, useId, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { PassageAnswer, PassageToKeep, PassageToWrite } from '../../../core/contract/passages';
import type { Refusal } from '../../../core/contract/refusal';
import type { WordsFacts } from '../../../core/contract/templateWords';
import { withArticle } from '../../../core/fill/formats/article';
import { bookingWords } from '../../../core/records/bookingWords';
import { STARTING_POINTS, type StartingKind } from '../../../core/records/recordKind';
import { askServer } from '../../writing/askServer';
import { signInAgain } from '../../writing/useWriting';
import { useInView } from '../useInView';
import { useTypedWords } from '../useTypedWords';
import { PassageUsesList } from './PassageUsesList';

/** The page that is written on comes after what is said of it. */
const PassagePage = lazy(() => import('./PassagePage'));

interface Props {
  /** whose words are kept apart on this device */
  owner: string;
  passage: PassageToWrite;
  facts: WordsFacts;
}

/** A passage on a page of its own: its name, its words in pencil, and where it stands. */
export function PassageDesk({ owner, passage, facts }: Props) {
  const { key, uses } = passage;
  const [typed, setTyped] = useTypedWords(owner, `passage ${key}`);
  /** what was kept here, until the server's answer shows it, too */
  const [keptHere, setKeptHere] = useState<{ version: number; name: string; text: string }>();
  const standing = keptHere && keptHere.version > passage.version ? keptHere : passage;
  const [name, setName] = useState(passage.name);
  const [startsFrom, setStartsFrom] = useState<StartingKind>('invoice');
  const [said, setSaid] = useState<{ trouble?: string; problems?: readonly string[]; kept?: string }>({});
  const [busy, setBusy] = useState(false);
  const [tools, setTools] = useState<HTMLElement | null>(null);
  const view = useInView(startsFrom);
  const router = useRouter();
  const id = useId();
  const text = typed?.text ?? standing.text;
  const changed = text !== standing.text || name.trim() !== standing.name;
  const now = useRef(text);
  useEffect(() => {
    now.current = text;
  });
  const flush = useRef(() => {});

  const type = useCallback(
    (next: string) => {
      now.current = next;
      setTyped({ version: standing.version, text: next });
    },
    [setTyped, standing.version],
  );

  async function ask(send: PassageToKeep | { version: number }, method: 'POST' | 'DELETE') {
    setBusy(true);
    setSaid({});
    const answer = await askServer<PassageAnswer | Refusal>(
      `/api/passages/${encodeURIComponent(key)}`,
      send,
      method,
    );
    setBusy(false);
    if ('offline' in answer) {
      setSaid({ trouble: 'There is no connection. Your words are still here; keep them later.' });
      return undefined;
    }
    const { body } = answer;
    if (body.result === 'done') return body;
    if (body.result === undefined && body.signedOut) signInAgain();
    else if (body.result === 'wrong') setSaid({ problems: body.problems });
    else setSaid({ trouble: body.error });
    return undefined;
  }

  async function keep() {
    flush.current();
    if (busy) return;
    const words = now.current;
    // What was typed on an older version is told when it is kept.
    const version = typed?.version ?? standing.version;
    const done = await ask({ version, name, text: words, startsFrom }, 'POST');
    if (!done) return;
    setKeptHere({ version: done.version, name: name.trim(), text: words });
    if (now.current === words) setTyped(undefined);
    setSaid({ kept: `Kept. ${placesInWords(uses)}` });
    router.refresh();
  }

  async function remove() {
    if (await ask({ version: standing.version }, 'DELETE')) {
      setTyped(undefined);
      router.push('/templates/passages');
    }
  }

  return (
    <div className="with-margin">
      <article className="paper letter" aria-labelledby="passage-name">
        <div className="letter-head">
          <Link href="/templates/passages" className="back-to-list back-always">
            Passages
          </Link>
          <h1 id="passage-name">{standing.name}</h1>
          <PassageUsesList uses={uses} />
          <div className="passage-head">
            <Form.Group controlId={`${id}-name`}>
              <Form.Label>Name</Form.Label>
              <Form.Control
                size="sm"
                value={name}
                maxLength={100}
                onChange={(event) => setName(event.target.value)}
              />
            </Form.Group>
            <Form.Group controlId={`${id}-from`}>
              <Form.Label>Seen from</Form.Label>
              <Form.Select
                size="sm"
                value={startsFrom}
                onChange={(event) => setStartsFrom(event.target.value as StartingKind)}
              >
                {STARTING_POINTS.map((kind) => (
                  <option key={kind} value={kind}>
                    {withArticle(
                      kind === 'booking' ? bookingWords(facts.business.booking_label).booking : kind,
                    )}
                  </option>
                ))}
              </Form.Select>
            </Form.Group>
          </div>
        </div>
        <Suspense fallback={<p className="hint">Opening the page …</p>}>
          <PassagePage
            passageKey={key}
            text={text}
            startsFrom={startsFrom}
            facts={facts}
            view={view}
            tools={tools}
            onType={type}
            onKeep={() => void keep()}
            onReady={(handOver) => (flush.current = handOver)}
          />
        </Suspense>
        <div className="letter-foot desk-foot">
          <div id="put-in" />
          <div ref={setTools} className="pencil-tools" role="group" aria-label="Put in" />
          {said.problems && (
            <ul className="line-problems" role="alert" aria-label="What is wrong">
              {said.problems.map((problem) => (
                <li key={problem}>{problem}</li>
              ))}
            </ul>
          )}
          {said.trouble && (
            <p className="trouble" role="alert">
              {said.trouble}
            </p>
          )}
          <div className="foot-line">
            <Button onClick={() => void keep()} disabled={busy || !changed || !name.trim()}>
              Keep this passage
            </Button>
            {changed && (
              <button
                type="button"
                className="btn btn-link"
                onClick={() => {
                  flush.current();
                  setTyped(undefined);
                  setName(standing.name);
                }}
              >
                Undo my changes
              </button>
            )}
            {isUnused(uses) && (
              <button type="button" className="btn btn-link" disabled={busy} onClick={() => void remove()}>
                Remove it
              </button>
            )}
            <p className="foot-words" role="status">
              {said.kept ? (
                <span className="in-order">{said.kept}</span>
              ) : (
                changed && 'A draft, kept on this device. Letters still use the words before.'
              )}
            </p>
          </div>
        </div>
      </article>
      <div id="template-margin" className="margin-place" />
    </div>
  );
}

function isUnused({ templates, passages, others }: PassageToWrite['uses']): boolean {
  return templates.length + passages.length + others === 0;
}

function placesInWords({ templates, others }: PassageToWrite['uses']): string {
  const count = templates.length + others;
  if (count === 0) return 'It stands in no template yet.';
  return count === 1 ? 'It is changed in one template.' : `It is changed in ${count} templates.`;
}
