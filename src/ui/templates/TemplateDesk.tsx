'use client';

import type { WordsFacts } from '../../core/contract/templateWords';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useId, useState, type ReactNode } from 'react';

import { TemplateActs } from './TemplateActs';
import { InkSide } from './InkSide';
import { useTypedWords } from './useTypedWords';
import { VersionsSide } from './VersionsSide';
import { WordsSide } from './WordsSide';

interface Props {
  /** whose words are kept apart on this device */
  owner: string;
  templateKey: string;
  version: number;
  name: string;
  note?: string;
  startsFrom: string;
  problems: string[];
  /** its text form */
  text: string;
  facts: WordsFacts;
  /** the letter in pencil */
  pencil: ReactNode;
}

const SIDES = ['Pencil', 'Ink', 'Words', 'Versions'] as const;

/** A template in pencil, in ink for a real record, its words to be changed, and its versions. */
export function TemplateDesk({
  owner,
  templateKey,
  version,
  name,
  note,
  startsFrom,
  problems,
  text,
  facts,
  pencil,
}: Props) {
  const [side, setSide] = useState<(typeof SIDES)[number]>('Pencil');
  // What was typed stays while the others are looked at; a version kept by somebody else is told when this one is.
  const [typed, setTyped] = useTypedWords(owner, templateKey);
  /** what was typed on a version that somebody has kept another one after */
  const [put, setPut] = useState<string>();
  const router = useRouter();
  const tabs = useId();
  const words = typed ?? { version, text };
  return (
    <div className="with-margin">
      <article className="paper letter" aria-labelledby="template-name">
        <div className="letter-head">
          <Link href="/templates" className="back-to-list">
            Templates
          </Link>
          <h1 id="template-name">{name}</h1>
          {note && <p>{note}</p>}
          <TemplateActs templateKey={templateKey} name={name} />
          <div role="tablist" aria-label="Sides of the template" className="sides">
            {SIDES.map((one) => (
              <button
                key={one}
                type="button"
                role="tab"
                id={`${tabs}-${one}`}
                aria-selected={side === one}
                aria-controls={`${tabs}-panel`}
                tabIndex={side === one ? 0 : -1}
                onClick={() => setSide(one)}
                onKeyDown={(event) => {
                  const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
                  if (!step) return;
                  const next = SIDES[(SIDES.indexOf(side) + step + SIDES.length) % SIDES.length]!;
                  setSide(next);
                  document.getElementById(`${tabs}-${next}`)?.focus();
                }}
              >
                {one}
              </button>
            ))}
          </div>
        </div>
        {problems.length > 0 && (
          <ul className="problems" role="alert">
            {problems.map((problem) => (
              <li key={problem}>{problem}</li>
            ))}
          </ul>
        )}
        <div role="tabpanel" id={`${tabs}-panel`} aria-labelledby={`${tabs}-${side}`}>
          {side === 'Pencil' && pencil}
          {side === 'Ink' && (
            <InkSide templateKey={templateKey} startsFrom={startsFrom} text={words.text} facts={facts} />
          )}
          {side === 'Versions' && (
            <VersionsSide templateKey={templateKey} standing={version} onKept={() => router.refresh()} />
          )}
          {side === 'Words' && put !== undefined && (
            <details className="put-aside" open>
              <summary>What you wrote before version {version} was loaded</summary>
              <textarea
                className="words-area form-control"
                readOnly
                rows={12}
                value={put}
                aria-label="What you wrote"
              />
              <button type="button" className="btn btn-link" onClick={() => setPut(undefined)}>
                Throw it away
              </button>
            </details>
          )}
          {side === 'Words' && (
            <WordsSide
              templateKey={templateKey}
              words={words}
              changed={typed !== undefined && typed.text !== text}
              facts={facts}
              onType={(next) => setTyped({ version: words.version, text: next })}
              onKept={() => {
                setTyped(undefined);
                router.refresh();
              }}
              onUndo={() => setTyped(undefined)}
              onLoad={() => {
                setPut(words.text);
                setTyped(undefined);
                router.refresh();
              }}
            />
          )}
        </div>
      </article>
      <div id="template-margin" className="margin-place" />
    </div>
  );
}
