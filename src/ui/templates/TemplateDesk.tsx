'use client';

import type { DraftsOfTemplate, WordsFacts } from '../../core/contract/templateWords';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { lazy, Suspense, useCallback, useEffect, useId, useRef, useState, type ReactNode } from 'react';

import { TemplateActs } from './TemplateActs';
import { InkSide } from './InkSide';
import { DeskFoot } from './DeskFoot';
import { useInView } from './useInView';
import { useKeeping } from './useKeeping';
import { useReading } from './useReading';
import { useServerDraft } from './useServerDraft';
import { useTypedWords, type TypedWords } from './useTypedWords';
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
  drafts: DraftsOfTemplate;
  /** the letter in pencil */
  pencil: ReactNode;
}

const SIDES = ['Pencil', 'Ink', 'Words', 'Versions'] as const;
type Side = (typeof SIDES)[number];

/** The page that is written on comes after the one that is read. */
const PencilPage = lazy(() => import('./pencil/PencilPage'));

/** A template in pencil, in ink for a real record, its words as text, and its versions. */
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
  drafts,
  pencil,
}: Props) {
  const [side, setSide] = useState<Side>('Pencil');
  // What was typed stays while the others are looked at; a version kept by somebody else is told when this one is.
  const [typed, setTyped] = useTypedWords(owner, templateKey, drafts.own);
  const isAtServer = useServerDraft(templateKey, typed, drafts.own?.text);
  /** what was kept here, until the server's answer shows it, too */
  const [keptHere, setKeptHere] = useState<TypedWords>();
  /** what was typed on a version that somebody has kept another one after */
  const [put, setPut] = useState<string>();
  const [line, setLine] = useState<{ line: number }>();
  const [tools, setTools] = useState<HTMLElement | null>(null);
  const router = useRouter();
  const id = useId();
  const standing = keptHere && keptHere.version > version ? keptHere : { version, text };
  const words = typed ?? standing;
  const changed = typed !== undefined && typed.text !== standing.text;
  const reading = useReading(words.text, facts);
  const isRead = reading?.text === words.text;
  const view = useInView(startsFrom);
  /** the words as they are at this moment, before the page has been drawn with them */
  const now = useRef(words);
  useEffect(() => {
    now.current = words;
  });
  /** hands over what was written in pencil a moment ago */
  const flush = useRef(() => {});
  const keeping = useKeeping(templateKey, (kept) => {
    setKeptHere(kept);
    setTyped(undefined);
    router.refresh();
  });

  const type = useCallback(
    (next: string) => {
      now.current = { version: now.current.version, text: next };
      setTyped(now.current);
    },
    [setTyped],
  );
  const turnTo = (next: Side) => {
    flush.current();
    setSide(next);
  };
  const keep = () => {
    flush.current();
    if (now.current.text !== standing.text) void keeping.keep(now.current);
  };
  return (
    <div className="with-margin">
      <article className="paper letter" aria-labelledby="template-name">
        <div className="letter-head">
          <Link href="/templates" className="back-to-list">
            Templates
          </Link>
          <h1 id="template-name">{name}</h1>
          {note && <p>{note}</p>}
          {drafts.others.map(({ by, when }) => (
            <p key={by}>
              {by} is rewording it, the last time {when}. Letters use version {standing.version} meanwhile.
            </p>
          ))}
          <TemplateActs templateKey={templateKey} name={name} />
          <Sides id={id} side={side} onTurn={turnTo} />
        </div>
        {problems.length > 0 && (
          <ul className="problems" role="alert">
            {problems.map((problem) => (
              <li key={problem}>{problem}</li>
            ))}
          </ul>
        )}
        <div role="tabpanel" id={`${id}-panel`} aria-labelledby={`${id}-${side}`}>
          <div hidden={side !== 'Pencil'}>
            <Suspense fallback={pencil}>
              <PencilPage
                text={words.text}
                reading={reading}
                facts={facts}
                view={view}
                active={side === 'Pencil'}
                tools={tools}
                onType={type}
                onKeep={keep}
                onTurn={() => turnTo('Ink')}
                onReady={(handOver) => (flush.current = handOver)}
              >
                {pencil}
              </PencilPage>
            </Suspense>
          </div>
          {side === 'Ink' && (
            <InkSide
              templateKey={templateKey}
              startsFrom={startsFrom}
              reading={reading}
              facts={facts}
              view={view}
            />
          )}
          {side === 'Versions' && (
            <VersionsSide
              templateKey={templateKey}
              standing={standing.version}
              onKept={() => router.refresh()}
            />
          )}
          {side === 'Words' && put !== undefined && (
            <PutAside words={put} version={standing.version} onThrowAway={() => setPut(undefined)} />
          )}
          {side === 'Words' && (
            <WordsSide
              text={words.text}
              isWrong={isRead && reading.problems.length > 0}
              describedBy={`${id}-problems`}
              onType={type}
              line={line}
            />
          )}
        </div>
        {side !== 'Versions' && (side !== 'Ink' || changed) && (
          <DeskFoot
            id={`${id}-problems`}
            version={standing.version}
            changed={changed}
            isAtServer={isAtServer}
            problems={isRead ? reading.problems : undefined}
            saysSo={side === 'Words'}
            keeping={keeping}
            onKeep={keep}
            onUndo={() => {
              flush.current();
              setTyped(undefined);
            }}
            onLoad={() => {
              setPut(words.text);
              setTyped(undefined);
              keeping.settle();
              setSide('Words');
              router.refresh();
            }}
            onGo={(problem) => {
              turnTo('Words');
              setLine({ line: problem.line });
            }}
          >
            {side === 'Pencil' && (
              <>
                <div id="put-in" />
                <div ref={setTools} className="pencil-tools" role="group" aria-label="Put in" />
              </>
            )}
          </DeskFoot>
        )}
      </article>
      <div id="template-margin" className="margin-place" />
    </div>
  );
}

interface SidesProps {
  id: string;
  side: Side;
  onTurn: (side: Side) => void;
}

function Sides({ id, side, onTurn }: SidesProps) {
  return (
    <div role="tablist" aria-label="Sides of the template" className="sides">
      {SIDES.map((one) => (
        <button
          key={one}
          type="button"
          role="tab"
          id={`${id}-${one}`}
          aria-selected={side === one}
          aria-controls={`${id}-panel`}
          tabIndex={side === one ? 0 : -1}
          onClick={() => onTurn(one)}
          onKeyDown={(event) => {
            const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
            if (!step) return;
            const next = SIDES[(SIDES.indexOf(side) + step + SIDES.length) % SIDES.length]!;
            onTurn(next);
            document.getElementById(`${id}-${next}`)?.focus();
          }}
        >
          {one}
        </button>
      ))}
    </div>
  );
}

interface PutAsideProps {
  words: string;
  version: number;
  onThrowAway: () => void;
}

/** What was written before another version was loaded. */
function PutAside({ words, version, onThrowAway }: PutAsideProps) {
  return (
    <details className="put-aside" open>
      <summary>What you wrote before version {version} was loaded</summary>
      <textarea
        className="words-area form-control"
        readOnly
        rows={12}
        value={words}
        aria-label="What you wrote"
      />
      <button type="button" className="btn btn-link" onClick={onThrowAway}>
        Throw it away
      </button>
    </details>
  );
}
