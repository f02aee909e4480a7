'use client';

import { useCallback, useDeferredValue, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { useRouter, useSearchParams } from 'next/navigation';
import type { WritingAnswer } from '../../core/contract/writing';
import type { StartingPoint } from '../../core/records/which/situation';
import { nameStart } from '../../core/describe/nameStart';
import type { Choices } from '../../core/writing/letter';
import { useFreeDays } from '../work/useFreeDays';
import { answering } from '../../core/writing/reply';
import { AskedFor } from './AskedFor';
import { renewDraft } from '../drafts/drafts';
import { OlderDrafts, Overtaken } from '../drafts/OtherDrafts';
import { JustSent, rememberSent } from '../sending/JustSent';
import { turnPath, useNextLetter } from '../sending/nextLetter';
import { LetterFoot } from '../sending/LetterFoot';
import { BothChangedParts } from './BothChangedParts';
import { lazyPart } from '../shell/lazyPart';
import { LetterHead } from './LetterHead';
import { LetterheadAround } from '../document/LetterheadAround';
import { LetterPage, useLetter } from './LetterPage';
import type { LetterNow } from './letterView';
import { makeReady } from './makeReady';
import { TemplateChooser } from './TemplateChooser';
import { useChoosing, type How } from './useChoosing';
import { useDraft } from '../drafts/useDraft';
import { useSending } from '../sending/useSending';
import { useShared } from './useShared';
import { useTemplatesOf } from './useTemplatesOf';
import { Waiting } from './Waiting';
import { placesOf } from './placesOf';
import { Reworded } from './Reworded';
import { WritingMargin } from './WritingMargin';
import {
  firstTemplate,
  signInAgain,
  useWriting,
  type Anew,
  type AskedLetter,
  type Writing,
} from './useWriting';

const AnswersMessage = lazyPart(() => import('./AnswersMessage'));

interface Props {
  start: StartingPoint;
  /** what it is written from, where it came with the document */
  given?: WritingAnswer;
  /** the letter as it can be read until then */
  children?: ReactNode;
}

/** Where a letter is written: the templates that fit, the page, its margin. */
export function WritingPage({ start, given, children }: Props) {
  const from = `${start.kind}:${start.key}`;
  const asked = useAsked();
  const [writing, load] = useWriting(from, start, asked, given);
  if (writing.state === 'ready') {
    return (
      <Desk
        key={`${from} ${writing.draft.id}`}
        writing={writing}
        start={start}
        asked={asked}
        onRefresh={load}
      />
    );
  }
  if (writing.state === 'fetching' && writing.read && children) return children;
  return (
    <div id="page" className="page-area page-alone" tabIndex={-1}>
      <Waiting state={writing.state} onAgain={() => void load()} />
    </div>
  );
}

interface Asked extends AskedLetter {
  /** whether it is one of several, read one after the other */
  inTurn: boolean;
}

/** What the address asks for. A page that this device has kept may have been another template's when it was. */
function useAsked(): Asked {
  const asked = useSearchParams();
  const [template, letter] = [asked.get('template') ?? undefined, asked.get('letter') ?? undefined];
  const reply = asked.get('reply') ?? undefined;
  return { template, letter, inTurn: asked.has('turn'), shared: asked.has('shared'), reply };
}

const NO_DAYS: readonly string[] = [];

interface DeskProps {
  writing: Writing;
  start: StartingPoint;
  asked: Asked;
  /** gives whether the records came */
  onRefresh: (draft: () => Writing['draft'], how?: Anew) => Promise<boolean>;
}

function Desk({ writing, start, asked, onRefresh }: DeskProps) {
  const { template, inTurn, shared, reply } = asked;
  const { answered } = writing;
  const { store, draft, draftKey } = writing;
  const from = `${start.kind}:${start.key}`;
  const view = useLetter(store);
  // The page comes first; what stands beside it follows in the next moment.
  const beside = useDeferredValue(view) ?? view;
  const [chosen, setChosen] = useState<string>();
  const [listOpen, setListOpen] = useState(false);
  const page = useRef<HTMLDivElement>(null);
  const router = useRouter();
  const { project, booking, invoice, recipients } = beside?.choices ?? {};
  const taken = JSON.stringify({ project, booking, invoice, recipients });
  // Another template leads to the same records: what fits is worked out only when they change.
  const situation = useMemo(
    () => store.desk.situation(start, JSON.parse(taken) as Partial<Choices>)!,
    [store, start, taken],
  );
  const name = situation.client?.record.name ?? situation.client?.record.email ?? 'somebody';
  const { sending, send, takeBack, asFile } = useSending(writing, from, name);
  // It has left its writer's hands.
  const closed = sending.state === 'kept' || sending.state === 'on the shelf';
  const next = useNextLetter(from, inTurn || closed);

  useEffect(() => makeReady(store), [store]);
  useEffect(() => () => store.leave(), [store]);
  const [choosing, choose] = useChoosing(store, from);

  useEffect(() => {
    document.title = `Write to ${name} · Fair Quill`;
  }, [name]);

  const chooseTemplate = useCallback(
    (key: string, how: How) => {
      setListOpen(false);
      setChosen(undefined);
      choose(key, how);
    },
    [choose],
  );
  const letterOf = useTemplatesOf(closed ? undefined : view);

  useEffect(() => {
    if (view) return;
    // What was asked for; else the likeliest, so that writing begins with a letter.
    const first = firstTemplate(store.desk, start, writing.letters, { template, shared, reply });
    if (first === undefined || Array.isArray(store.desk.compile(first))) return;
    store.choose({ template: first, ...(answered ? answering(answered, store.desk.situation(start)) : {}) });
  }, [view, template, shared, reply, answered, store, start, writing]);

  const files = useShared(store, shared && view !== undefined);
  const { keep, overtaken, keepMine, theirs } = useDraft(writing, name, !closed);

  const goTo = (hole: string) => {
    setChosen(hole);
    const place = page.current?.querySelector<HTMLElement>(`[data-id="${CSS.escape(hole)}"]`);
    place?.scrollIntoView({ block: 'center' });
    place?.querySelector<HTMLElement>('button, input, select')?.focus();
  };

  /** Sends it, or goes to the first thing that it waits for. */
  const sendOrGo = () => {
    const marks = store.marks();
    if (!marks) return;
    const [first] = marks;
    if (!first) return void send();
    if (first.hole !== undefined) return goTo(first.hole);
    document.querySelector<HTMLElement>('.proof-marks button')?.focus();
  };

  /** The same, and once it has gone the next one comes; this one can be taken back from there. */
  const sendAndNext = async () => {
    if (!next || store.marks()?.length !== 0) return sendOrGo();
    const words = begun(store.now()!);
    const href = turnPath({ start, template: { key: words.letter.choices.template } });
    const kept = await send();
    if (!kept) return;
    if (kept.goesAt !== undefined)
      rememberSent({ draft: { ...draft, ...words }, draftKey, name, href, goesAt: kept.goesAt });
    router.push(next.href);
  };

  /** A note that is done with closes, and what was written on is written on. */
  const backToPage = useCallback(() => {
    setChosen(undefined);
    page.current?.querySelector<HTMLElement>('[contenteditable="true"]')?.focus({ preventScroll: true });
  }, []);

  useEffect(() => {
    if (chosen === undefined) return;
    const press = (event: KeyboardEvent) => event.key === 'Escape' && setChosen(undefined);
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, [chosen]);

  const [stale, setStale] = useState(false);
  const anew = useCallback(
    async (from: () => Writing['draft'], how?: Anew) => setStale(!(await onRefresh(from, how))),
    [onRefresh],
  );
  const refresh = useCallback(
    () => void anew(() => ({ id: draft.id, ...begun(store.now()!) })),
    [anew, draft.id, store],
  );

  /** The one that was taken back keeps its id; this is a new letter with the same words. */
  const writeOn = async (how?: Anew) => {
    const renewed = await renewDraft(draftKey, { ...draft, ...begun(store.now()!) });
    await anew(() => renewed, how);
  };

  const takeItBack = async () => {
    // One that waits for a connection is written on without.
    const how = sending.state === 'on the shelf' ? 'as it is' : 'fetched';
    if (await takeBack()) await writeOn(how);
  };

  const enquiry = start.kind === 'enquiry' ? situation.enquiry?.record : undefined;
  const told = useFreeDays(enquiry?.wanted_on ?? NO_DAYS, { near: true, enquiry: enquiry?.key });
  const askedFor = enquiry && !closed && <AskedFor enquiry={enquiry} told={told} store={store} view={view} />;

  const made = sending.state === 'kept' && sending.status !== 'taken back' ? sending.client : undefined;
  const { record, after } = placesOf(situation, name, made);
  return (
    <>
      <TemplateChooser
        title={`Write to ${name}`}
        from={`from ${nameStart(situation)}`}
        writing={writing}
        situation={situation}
        letter={letterOf}
        onChoose={chooseTemplate}
        behind={view !== undefined && !listOpen}
      >
        {askedFor && <div className="wide-only">{askedFor}</div>}
      </TemplateChooser>
      <div id="page" className="page-area writing" tabIndex={-1}>
        <JustSent />
        {askedFor && <div className="narrow-only">{askedFor}</div>}
        {overtaken && (
          <Overtaken
            where={overtaken === 'tab' ? 'in another tab' : 'on another device'}
            onMine={() => void keepMine()}
            onTheirs={() => void theirs().then((draft) => draft && anew(() => draft))}
          />
        )}
        {stale && (
          <p className="trouble" role="alert">
            The records could not be fetched. The letter stands as it was; try again.
          </p>
        )}
        {choosing && (
          <p className={choosing.failed ? 'trouble' : 'hint'} role={choosing.failed ? 'alert' : 'status'}>
            {choosing.words}
          </p>
        )}
        {!closed && (
          <OlderDrafts
            draftKey={draftKey}
            drafts={writing.begun}
            onOpen={(older) => void keep().then(() => anew(() => older))}
          />
        )}
        {view?.both && !closed && <BothChangedParts parts={view.both} store={store} />}
        {view ? (
          <>
            <article className="paper letter" aria-labelledby="letter-title">
              <h1 id="letter-title" className="visually-hidden">
                Letter to {name}
              </h1>
              <LetterHead
                view={view}
                store={store}
                sharedFiles={files}
                onBack={() => setListOpen(true)}
                back={{ name, href: record }}
                closed={closed}
                lastSaid={writing.lastSaid}
              />
              {view.choices.reply && (
                <AnswersMessage
                  reply={view.choices.reply}
                  answered={answered}
                  to={view.addressing.to}
                  store={store}
                  closed={closed}
                />
              )}
              <Reworded writing={writing} template={view.choices.template} />
              <LetterheadAround part={view.filled.around?.top} />
              <LetterPage
                store={store}
                view={view}
                chosen={chosen}
                onChoose={setChosen}
                onSend={(andNext) => (andNext && inTurn ? void sendAndNext() : sendOrGo())}
                page={page}
                closed={closed}
              />
              <LetterheadAround part={view.filled.around?.foot} />
              <LetterFoot
                view={view}
                store={store}
                sending={sending}
                onSend={sendOrGo}
                next={next}
                onSendAndNext={inTurn ? () => void sendAndNext() : undefined}
                asFile={asFile}
                onElsewhere={() => void send('/api/letters/elsewhere')}
                onTakeBack={() => void takeItBack()}
                onWriteOn={() => void writeOn()}
                onGo={goTo}
                onRefresh={refresh}
                onSignIn={() => void keep().then(signInAgain)}
                after={after}
              />
            </article>
            {closed ? (
              <aside className="margin" aria-label="Margin" />
            ) : (
              <WritingMargin
                view={beside ?? view}
                store={store}
                chosen={chosen}
                onChoose={setChosen}
                onDone={backToPage}
                onPutRight={refresh}
                page={page}
              />
            )}
          </>
        ) : (
          <p className="hint">
            {template !== undefined && Array.isArray(store.desk.compile(template))
              ? (store.desk.compile(template) as string[]).join(' ')
              : 'Choose a template: those that fit stand first.'}
          </p>
        )}
      </div>
    </>
  );
}

function begun({ choices, document, filled }: LetterNow) {
  return { letter: { choices, document }, base: filled.document };
}
