'use client';

import type { DraftsOfTemplate, WordsFacts } from '../../core/contract/templateWords';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import {
  lazy,
  Suspense,
  useCallback,
  useEffect,
  useId,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react';

import type { MissingFor } from '../../core/holes/holesOver';
import type { Problem } from '../../core/problems/problem';
import { bookingWords } from '../../core/records/bookingWords';
import type { StartingKind } from '../../core/records/recordKind';
import { byName } from '../../core/template/naming';
import type { Called } from '../../core/template/template';
import { recordPath } from '../records/recordPath';
import { HolesOverClients } from './holes/HolesOverClients';
import { nextOf, startsWithHoles } from './holes/startsWithHoles';
import { useHoles } from './holes/useHoles';
import { PutAside } from './PutAside';
import { RecordInView } from './RecordInView';
import { Sides, type Side } from './Sides';
import { TemplateActs } from './TemplateActs';
import { InkSide } from './InkSide';
import { DeskFoot } from './DeskFoot';
import { TypedFacts } from './typedFacts/TypedFacts';
import { useTypedFacts } from './typedFacts/useTypedFacts';
import { withFields } from './typedFacts/withFields';
import { useInView } from './useInView';
import { useKeeping } from './useKeeping';
import { useReading } from './useReading';
import { useServerDraft } from './useServerDraft';
import { useTypedWords, type TypedWords } from './useTypedWords';
import { VersionsSide } from './VersionsSide';

interface Props {
  /** whose words are kept apart on this device */
  owner: string;
  templateKey: string;
  version: number;
  name: string;
  note?: string;
  startsFrom: StartingKind;
  problems: string[];
  /** its text form */
  text: string;
  facts: WordsFacts;
  drafts: DraftsOfTemplate;
  /** it is everyone's, and whoever looks at it may not change those */
  locked: boolean;
  /** the letter in pencil */
  pencil: ReactNode;
}

/** The page that is written on comes after the one that is read, the words when they are asked for. */
const PencilPage = lazy(() => import('./pencil/PencilPage'));
const WordsSide = lazy(() => import('./words/WordsSide'));

const NO_PROBLEMS: readonly Problem[] = [];

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
  facts: given,
  drafts,
  locked,
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
  /** groups that were made here, until the server's facts have them, too */
  const [groups, setGroups] = useState<readonly Called[]>([]);
  const facts = useMemo(() => withGroups(given, groups), [given, groups]);
  const router = useRouter();
  const id = useId();
  const standing = keptHere && keptHere.version > version ? keptHere : { version, text };
  const words = typed ?? standing;
  const changed = typed !== undefined && typed.text !== standing.text;
  const reading = useReading(words.text, facts);
  const isRead = reading?.text === words.text;
  // As the words say it that are being written.
  const [kind, setKind] = useState(startsFrom);
  if (reading?.template && reading.template.head.startsFrom !== kind)
    setKind(reading.template.head.startsFrom);
  const view = useInView(kind);
  const { found, isOld, lookThroughAll } = useHoles(templateKey, reading?.template, facts);
  const typedOnes = useTypedFacts(locked ? undefined : reading?.template, facts, view);
  const missing = found?.type === 'found' ? startsWithHoles(found.holes) : [];
  const see = ({ start, name: called }: MissingFor) => view.bring({ key: start, name: called });
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
          {locked && (
            <p className="needs-you">
              You may not change what everyone writes with. Copy it: the copy is your own. An owner says who
              may.
            </p>
          )}
          <TemplateActs templateKey={templateKey} name={name} locked={locked} />
          <Sides id={id} side={side} onTurn={turnTo} />
        </div>
        {problems.length > 0 && (
          <ul className="problems" role="alert">
            {problems.map((problem) => (
              <li key={problem}>{problem}</li>
            ))}
          </ul>
        )}
        {(side === 'Pencil' || side === 'Ink') && (
          <RecordInView
            label={side === 'Ink' ? 'Filled for' : 'Seen for'}
            called={
              startsFrom === 'booking' ? bookingWords(facts.business.booking_label).booking : startsFrom
            }
            view={view}
            {...(missing.length > 0 ? { onNextHole: () => see(nextOf(missing, view.start)) } : {})}
          />
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
                onGroup={(made) => {
                  setGroups((before) => [...before, made]);
                  router.refresh();
                }}
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
              text={words.text}
              templateKey={templateKey}
              startsFrom={kind}
              reading={reading}
              facts={facts}
              view={view}
            />
          )}
          {(side === 'Pencil' || side === 'Ink') && (
            <HolesOverClients
              found={found}
              isOld={isOld}
              recordPath={(key) => recordPath({ kind, key })}
              onLookThroughAll={lookThroughAll}
              onSee={see}
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
            <PutAside
              words={put}
              version={standing.version}
              standing={reading?.template}
              facts={facts}
              onThrowAway={() => setPut(undefined)}
            />
          )}
          {side === 'Words' && (
            <Suspense fallback={<p className="hint words-side">Opening the words …</p>}>
              <WordsSide
                text={words.text}
                problems={isRead ? reading.problems : NO_PROBLEMS}
                describedBy={`${id}-problems`}
                startsFrom={kind}
                facts={facts}
                onType={type}
                onKeep={keep}
                onTurn={() => turnTo('Ink')}
                line={line}
              />
            </Suspense>
          )}
        </div>
        {side !== 'Versions' && (side !== 'Ink' || changed) && (
          <DeskFoot
            id={`${id}-problems`}
            version={standing.version}
            changed={changed}
            locked={locked}
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
                {typedOnes && (
                  <TypedFacts
                    name={view.starts?.find(({ key }) => key === view.start)?.name}
                    finds={typedOnes.finds}
                    isOld={typedOnes.isOld}
                    onMake={(finds) => {
                      flush.current();
                      // What was typed meanwhile is looked through first.
                      if (reading?.text === now.current.text)
                        type(withFields(typedOnes.template, finds, facts));
                    }}
                  />
                )}
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

function withGroups(facts: WordsFacts, made: readonly Called[]): WordsFacts {
  const known = byName(facts.groups);
  const more = made.filter(({ name }) => !known.has(name));
  return more.length > 0 ? { ...facts, groups: [...facts.groups, ...more] } : facts;
}
