'use client';

import { useCallback, useDeferredValue, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import type { WritingAnswer } from '../../core/contract/writing';
import type { StartingPoint } from '../../core/records/which/situation';
import { nameStart } from '../../core/describe/nameStart';
import { beginsWith } from '../../core/writing/beginsWith';
import type { Choices } from '../../core/writing/letter';
import { afterPaint } from '../shell/afterPaint';
import { renewDraft } from './drafts';
import { OlderDrafts, Overtaken } from './OtherDrafts';
import { recordPath } from '../records/recordPath';
import { LetterFoot } from './LetterFoot';
import { LetterHead } from './LetterHead';
import { LetterheadAround } from '../document/LetterheadAround';
import { LetterPage, useLetter } from './LetterPage';
import type { LetterNow } from './letterStore';
import { makeReady } from './makeReady';
import { TemplateChooser } from './TemplateChooser';
import { useChoosing } from './useChoosing';
import { useDraft } from './useDraft';
import { useSending } from './useSending';
import { WritingMargin } from './WritingMargin';
import { signInAgain, useWriting, type Writing } from './useWriting';

interface Props {
  start: StartingPoint;
  /** the template to begin with */
  template?: string;
  /** what it is written from, where it came with the document */
  given?: WritingAnswer;
  /** the letter as it can be read until then */
  children?: ReactNode;
}

/** Where a letter is written: the templates that fit, the page, its margin. */
export function WritingPage({ start, template, given, children }: Props) {
  const from = `${start.kind}:${start.key}`;
  const [writing, load] = useWriting(from, start, template, given);
  if (writing.state === 'ready') {
    return (
      <Desk
        key={`${from} ${writing.draft.id}`}
        writing={writing}
        start={start}
        template={template}
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

function Waiting({
  state,
  onAgain,
}: {
  state: 'fetching' | 'offline' | 'failed' | 'missing';
  onAgain: () => void;
}) {
  if (state === 'fetching') {
    return (
      <p className="hint" role="status">
        Fetching what the letter is written from …
      </p>
    );
  }
  const words = {
    offline: ['There is no connection', 'What you have written is kept on this device.'],
    failed: ['This could not be fetched', 'Nothing was lost. It may be the server.'],
    missing: ['There is no such record', 'It may have been removed. Start from another one.'],
  }[state];
  return (
    <div className="notice" role="alert">
      <h1>{words[0]}</h1>
      <p>{words[1]}</p>
      {state !== 'missing' && (
        <button type="button" className="btn btn-primary" onClick={onAgain}>
          Try again
        </button>
      )}
    </div>
  );
}

interface DeskProps {
  writing: Writing;
  start: StartingPoint;
  template: string | undefined;
  /** gives whether the records came */
  onRefresh: (draft: () => Writing['draft']) => Promise<boolean>;
}

function Desk({ writing, start, template, onRefresh }: DeskProps) {
  const { store, draft, draftKey } = writing;
  const from = `${start.kind}:${start.key}`;
  const view = useLetter(store);
  // The page comes first; its margin follows in the next moment.
  const later = useDeferredValue(view);
  const [chosen, setChosen] = useState<string>();
  const [listOpen, setListOpen] = useState(false);
  const page = useRef<HTMLDivElement>(null);
  const { sending, send, takeBack, asFile } = useSending(writing, from);
  const { project, booking, invoice, recipients } = view?.choices ?? {};
  const taken = JSON.stringify({ project, booking, invoice, recipients });
  // Another template leads to the same records: what fits is worked out only when they change.
  const situation = useMemo(
    () => store.desk.situation(start, JSON.parse(taken) as Partial<Choices>)!,
    [store, start, taken],
  );
  const name = situation.client?.record.name ?? situation.client?.record.email ?? 'somebody';

  useEffect(() => makeReady(store.desk), [store]);
  useEffect(() => () => store.leave(), [store]);
  const [choosing, choose] = useChoosing(store);

  useEffect(() => {
    document.title = `Write to ${name} · Fair Quill`;
  }, [name]);

  const chooseTemplate = useCallback(
    async (key: string) => {
      setListOpen(false);
      setChosen(undefined);
      if (!(await choose(key))) return;
      // The letter is painted first; the address of the page follows.
      afterPaint(() =>
        window.history.replaceState(
          null,
          '',
          `/write?from=${encodeURIComponent(from)}&template=${encodeURIComponent(key)}`,
        ),
      );
    },
    [choose, from],
  );

  useEffect(() => {
    if (view) return;
    // What was asked for; else the likeliest, so that writing begins with a letter.
    const first = beginsWith(store.desk, start, writing.letters, template);
    if (first !== undefined && !Array.isArray(store.desk.compile(first))) store.choose({ template: first });
  }, [view, template, store, start, writing]);

  const { keep, overtaken, keepMine, theirs } = useDraft(writing, name, sending.state !== 'kept');

  const goTo = (hole: string) => {
    setChosen(hole);
    const place = page.current?.querySelector<HTMLElement>(`[data-id="${CSS.escape(hole)}"]`);
    place?.scrollIntoView({ block: 'center' });
    place?.querySelector<HTMLElement>('button, input, select')?.focus();
  };

  /** Sends it, or goes to the first thing that it waits for. */
  const sendOrGo = () => {
    const [first] = store.marks();
    if (!first) return void send();
    if (first.hole !== undefined) return goTo(first.hole);
    document.querySelector<HTMLElement>('.proof-marks button')?.focus();
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
  const anew = async (from: () => Writing['draft']) => setStale(!(await onRefresh(from)));
  const refresh = () => anew(() => ({ id: draft.id, ...begun(store.now()!) }));

  /** The one that was taken back keeps its id; this is a new letter with the same words. */
  const writeOn = async () => {
    const renewed = await renewDraft(draftKey, { ...draft, ...begun(store.now()!) });
    await anew(() => renewed);
  };

  const takeItBack = async () => {
    if (await takeBack()) await writeOn();
  };

  const { client } = situation;
  const after =
    client && store.desk.book.clients.has(client.record.key)
      ? { href: `/clients/${encodeURIComponent(client.record.key)}#letters`, words: `Letters of ${name}` }
      : { href: '/post', words: 'See it in Post' };
  return (
    <>
      <TemplateChooser
        title={`Write to ${name}`}
        from={`from ${nameStart(situation)}`}
        writing={writing}
        situation={situation}
        chosen={view?.choices.template}
        onChoose={(key) => void chooseTemplate(key)}
        behind={view !== undefined && !listOpen}
      />
      <div id="page" className="page-area writing" tabIndex={-1}>
        {overtaken && (
          <Overtaken
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
            {choosing.failed
              ? `There is no connection, and the words of “${choosing.name}” are not on this device.`
              : `Fetching “${choosing.name}” …`}
          </p>
        )}
        {sending.state !== 'kept' && (
          <OlderDrafts
            draftKey={draftKey}
            drafts={writing.begun}
            onOpen={(older) => void keep().then(() => anew(() => older))}
          />
        )}
        {view ? (
          <>
            <article className="paper letter" aria-labelledby="letter-title">
              <h1 id="letter-title" className="visually-hidden">
                Letter to {name}
              </h1>
              <LetterHead
                view={view}
                store={store}
                onBack={() => setListOpen(true)}
                back={{ name, href: recordPath(start) }}
                closed={sending.state === 'kept'}
              />
              <Reworded writing={writing} template={view.choices.template} />
              <LetterheadAround part={view.filled.around?.top} />
              <LetterPage
                store={store}
                view={view}
                chosen={chosen}
                onChoose={setChosen}
                onSend={sendOrGo}
                page={page}
                closed={sending.state === 'kept'}
              />
              <LetterheadAround part={view.filled.around?.foot} />
              <LetterFoot
                view={view}
                store={store}
                sending={sending}
                onSend={sendOrGo}
                asFile={asFile}
                onElsewhere={() => void send('/api/letters/elsewhere')}
                onTakeBack={() => void takeItBack()}
                onWriteOn={() => void writeOn()}
                onGo={goTo}
                onRefresh={() => void refresh()}
                onSignIn={() => void keep().then(signInAgain)}
                after={after}
              />
            </article>
            {sending.state === 'kept' ? (
              <aside className="margin" aria-label="Margin" />
            ) : (
              <WritingMargin
                view={later ?? view}
                store={store}
                chosen={chosen}
                onChoose={setChosen}
                onDone={backToPage}
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

/** That somebody is writing the template's next version, and that this letter has nothing of it. */
function Reworded({ writing: { reworded, store }, template }: { writing: Writing; template: string }) {
  const one = reworded.find(({ key }) => key === template);
  if (!one) return null;
  return (
    <p className="hint">
      {one.own ? 'You are' : `${one.by} is`} rewording “{store.desk.template(template)?.head.name}”. This
      letter uses the version before.
    </p>
  );
}

function begun({ choices, document, filled }: LetterNow) {
  return { letter: { choices, document }, base: filled.document };
}
