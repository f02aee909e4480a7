'use client';

import Link from 'next/link';
import { lazy, Suspense, useId, useState, type ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { NamedPageProps } from './NamedPage';
import type { NamedWriting } from './useNamedWords';

/** The page that is written on comes after what is said of it. */
const NamedPage = lazy(() => import('./NamedPage'));

const BACK = {
  passage: { href: '/templates/passages', words: 'Passages' },
  signature: { href: '/templates/signatures', words: 'Signatures' },
  letterhead: { href: '/templates', words: 'Templates' },
  shorthand: { href: '/templates/shorthand', words: 'Shorthand' },
} as const;

interface Props extends Pick<NamedPageProps, 'kind' | 'startsFrom' | 'facts' | 'view'> {
  writing: NamedWriting;
  /** whether something beside its words and name was changed */
  changedToo?: boolean;
  onUndo?: () => void;
  /** whether it can be removed */
  removable: boolean;
  /** what it is, and what asks for it */
  about: ReactNode;
  /** what is chosen beside its name */
  choices: ReactNode;
}

/** A passage, a signature, a shorthand or a part of the letterhead on a page of its own: its name, its words in pencil, what is said of it, and keeping it. */
export function NamedDesk(props: Props) {
  const {
    writing,
    kind,
    startsFrom,
    facts,
    view,
    changedToo = false,
    onUndo,
    removable,
    about,
    choices,
  } = props;
  const { standing, name, setName, text, type, busy, said, keep, remove, undo, onReady } = writing;
  const changed = writing.changed || changedToo;
  const [tools, setTools] = useState<HTMLElement | null>(null);
  const id = useId();
  return (
    <div className="with-margin">
      <article className="paper letter" aria-labelledby={`${kind}-name`}>
        <div className="letter-head">
          <Link href={BACK[kind].href} className="back-to-list back-always">
            {BACK[kind].words}
          </Link>
          <h1 id={`${kind}-name`}>{standing.name}</h1>
          {about}
          <div className="passage-head">
            {kind !== 'letterhead' && (
              <Form.Group controlId={`${id}-name`}>
                <Form.Label>{kind === 'shorthand' ? 'Characters' : 'Name'}</Form.Label>
                <Form.Control
                  size="sm"
                  value={name}
                  maxLength={kind === 'shorthand' ? 30 : 100}
                  onChange={(event) => setName(event.target.value)}
                />
              </Form.Group>
            )}
            {choices}
          </div>
        </div>
        <Suspense fallback={<p className="hint">Opening the page …</p>}>
          <NamedPage
            kind={kind}
            text={text}
            startsFrom={startsFrom}
            facts={facts}
            view={view}
            tools={tools}
            onType={type}
            onKeep={() => void keep()}
            onReady={onReady}
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
              Keep this {kind}
            </Button>
            {changed && (
              <button
                type="button"
                className="btn btn-link"
                onClick={() => {
                  undo();
                  onUndo?.();
                }}
              >
                Undo my changes
              </button>
            )}
            {removable && (
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
