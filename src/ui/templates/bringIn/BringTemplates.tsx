'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { Meant } from '../../../core/adopting/adopt';
import { printMeant, readMeant } from '../../../core/adopting/meant';
import type { BroughtAnswer } from '../../../core/contract/bringTemplates';
import type { GroupedTemplates } from '../../../core/contract/list';
import type { Refusal } from '../../../core/contract/refusal';
import type { WordsFacts } from '../../../core/contract/templateWords';
import { readPassages } from '../../../core/fill/paths/scope';
import type { BookingWords } from '../../../core/records/bookingWords';
import { schemaOf } from '../../../core/records/schema';
import { FileDrop } from '../../files/FileDrop';
import { FileInput } from '../../files/FileInput';
import { askServer } from '../../writing/askServer';
import { useFocusWhen } from '../../shell/useFocusWhen';
import { GroupField, NEW_GROUP } from '../GroupField';
import { Brought } from './Brought';
import { comingOf, isSame, namesOf, toBring, type Coming, type Way } from './coming';
import { ComingList } from './ComingList';
import { NamesMean } from './NamesMean';
import { TakeOutTemplates } from './TakeOutTemplates';
import { useReadFiles } from './useReadFiles';
import { useThere } from './useThere';

interface Props {
  facts: WordsFacts;
  groups: readonly Pick<GroupedTemplates, 'key' | 'name' | 'templates'>[];
  words: BookingWords;
  /** what foreign names were said to mean before, as it is kept */
  remembered: readonly { name: string; meant: string }[];
}

/** Brings templates in from files: what their names mean is asked once, each can be read before anything comes in. */
export function BringTemplates({ facts, groups, words, remembered }: Props) {
  const files = useReadFiles();
  const { read } = files;
  const [said, setSaid] = useState<ReadonlyMap<string, Meant | undefined>>(new Map());
  const [ways, setWays] = useState<ReadonlyMap<number, Way>>(new Map());
  const [group, setGroup] = useState('');
  const [busy, setBusy] = useState(false);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const [brought, setBrought] = useState<Extract<BroughtAnswer, { result: 'done' }>>();
  const chooser = useRef<HTMLInputElement>(null);
  const whatCame = useFocusWhen<HTMLHeadingElement>(!files.reading && read);
  const router = useRouter();
  const titles = useMemo(() => ({ booking: words.booking }), [words]);

  const context = useMemo(() => {
    // In a text of ours they are called by their names.
    const passages = [
      ...facts.passages,
      ...(read?.passages ?? []).map(({ name }) => ({
        key: name,
        name,
        document: { type: 'doc' as const, content: [] },
      })),
    ];
    return { schema: schemaOf({ business: facts.business }), passages: readPassages(passages, 'name') };
  }, [facts, read]);
  const known = useMemo(() => {
    const meant = new Map<string, Meant>();
    for (const one of remembered) {
      const means = readMeant(one.meant);
      if (means) meant.set(one.name, means);
    }
    return meant;
  }, [remembered]);
  const meant = useMemo(() => {
    const all = new Map(known);
    for (const [key, one] of said) all.set(key, one ?? 'gap');
    return all;
  }, [known, said]);
  const coming = useMemo(() => comingOf(read?.templates ?? [], context, meant), [read, context, meant]);
  const names = useMemo(() => namesOf(coming), [coming]);
  const isDecided = (key: string, sure: boolean | undefined) =>
    said.has(key) ? said.get(key) !== undefined : known.has(key) || sure === true;
  const open = names.filter(({ key, proposed }) => !isDecided(key, proposed?.sure));

  const byName = useMemo(
    () =>
      new Map(
        groups.flatMap(({ templates }) =>
          templates.map(({ key, name }) => [name.toLowerCase(), key] as const),
        ),
      ),
    [groups],
  );
  const keyOf = (name: string) => byName.get(name.toLowerCase());
  const { there, isWhole } = useThere(
    coming.flatMap(({ template }) => keyOf(template.head.name) ?? []),
    facts,
  );
  const thereAs = (name: string) => there.get(keyOf(name) ?? '');
  const stands = (one: Coming) => {
    const { name } = one.template.head;
    if (keyOf(name) === undefined) return undefined;
    return isSame(one, thereAs(name)) ? ('same' as const) : ('another' as const);
  };
  const wayOf = coming.map((one, i): Way => ways.get(i) ?? (stands(one) === 'same' ? 'out' : 'new'));
  const count = wayOf.filter((way) => way !== 'out').length;
  const hasForeign = coming.some(({ isOwn }, i) => !isOwn && wayOf[i] !== 'out');

  function mean(key: string, one: Meant | undefined) {
    setSaid((before) => new Map(before).set(key, one));
    // It is remembered whether anything comes in or not; what is not remembered goes along with what does.
    if (one !== undefined) void askServer('/api/templates/foreign', { names: meantOf([[key, one]]) }, 'PUT');
  }

  async function bringIn() {
    if (group === NEW_GROUP) return setProblems(['Make the new group first, or choose another.']);
    setBusy(true);
    setProblems([]);
    const answer = await askServer<BroughtAnswer | Refusal>('/api/templates/brought', {
      names: meantOf([...said]),
      templates: toBring(coming, wayOf, thereAs, new Set(byName.keys()), group),
      passages: (read?.passages ?? []).map(({ name, text }) => ({ name, text })),
    });
    setBusy(false);
    if ('offline' in answer)
      return setProblems(['There is no connection. Nothing was brought in; it is still here.']);
    const { body } = answer;
    if (body.result === 'done') {
      setBrought(body);
      startAnew();
      return router.refresh();
    }
    setProblems(
      body.result === 'wrong' ? body.problems.map(({ name, error }) => `${name}: ${error}`) : [body.error],
    );
  }

  function startAnew() {
    files.close();
    setWays(new Map());
    setProblems([]);
  }

  return (
    <div className={`bring-templates${names.length > 0 ? ' with-margin from-letter' : ''}`}>
      <article className="paper" aria-labelledby="bring-title">
        <div className="letter-head">
          <Link href="/templates" className="back-to-list">
            Templates
          </Link>
          <h1 id="bring-title">Bring templates in, or take them out</h1>
        </div>
        {brought && !read ? (
          <Brought brought={brought} onMore={() => setBrought(undefined)} />
        ) : (
          <FileDrop className="form-part" onFile={files.open}>
            <p>
              Text, Markdown, web pages, emails (.eml, .mbox), or a zip of them, of at most 50 MB. Names in
              brackets and other marks become smart fields; you see all of it before anything comes in.
            </p>
            <FileInput label="Files with templates" chooser={chooser} onFile={files.open} />
            <Button
              variant={read ? 'outline-primary' : 'primary'}
              disabled={files.reading !== undefined}
              onClick={() => chooser.current?.click()}
            >
              {read ? 'Read more files' : 'Choose files'}
            </Button>{' '}
            <span className="drop-words">or drop them here.</span>
            <p role="status">{files.reading && reading(files.reading)}</p>
          </FileDrop>
        )}
        {files.trouble.length > 0 && (
          <ul className="form-part problem" role="alert">
            {files.trouble.map((line, i) => (
              <li key={i}>{line}</li>
            ))}
          </ul>
        )}
        {read && (
          <section className="form-part" aria-labelledby="coming-title">
            <h2 id="coming-title" ref={whatCame} tabIndex={-1}>
              {coming.length === 0
                ? 'There is no template in it'
                : coming.length === 1
                  ? 'One template'
                  : `${coming.length} templates`}
            </h2>
            {hasForeign && (
              <GroupField
                groups={groups.filter(({ key }) => key)}
                value={group}
                isWrong={false}
                onChange={setGroup}
              />
            )}
            <ul className="problem" role="alert">
              {problems.map((line, i) => (
                <li key={i}>{line}</li>
              ))}
            </ul>
            <div className="form-foot">
              <Button
                variant={open.length > 0 ? 'outline-primary' : 'primary'}
                disabled={busy || count === 0 || !isWhole}
                onClick={() => void bringIn()}
              >
                {busy ? 'Bringing in …' : count === 1 ? 'Bring it in' : `Bring ${count} in`}
              </Button>{' '}
              <Button variant="link" onClick={startAnew}>
                Close without bringing in
              </Button>
            </div>
            {open.length > 0 && (
              <p className="entry-note">
                {open.length === 1
                  ? 'One name is not decided: a gap stands in its place.'
                  : `${open.length} names are not decided: gaps stand in their place.`}{' '}
                <a className="narrow-only" href="#names-mean">
                  Say what they mean
                </a>
              </p>
            )}
            <ComingList
              coming={coming}
              ways={wayOf}
              stands={stands}
              context={context}
              titles={titles}
              passages={facts.passages}
              onWay={(i, way) => setWays((before) => new Map(before).set(i, way))}
            />
            {read.left.length > 0 && (
              <details>
                <summary>
                  {read.left.length === 1
                    ? 'One file was left out'
                    : `${read.left.length} files were left out`}
                </summary>
                <ul>
                  {read.left.map(({ file, why }, i) => (
                    <li key={i}>
                      {file}: {why}
                    </li>
                  ))}
                </ul>
              </details>
            )}
          </section>
        )}
        {!read && <TakeOutTemplates />}
      </article>
      {names.length > 0 && (
        <NamesMean
          names={names}
          isDecided={({ key, proposed }) => isDecided(key, proposed?.sure)}
          context={context}
          titles={titles}
          onMean={mean}
        />
      )}
    </div>
  );
}

/** What names were said to mean, as it is kept. */
function meantOf(said: readonly (readonly [name: string, meant: Meant | undefined])[]) {
  return said.flatMap(([name, one]) => (one === undefined ? [] : [{ name, meant: printMeant(one) }]));
}

function reading({ name, share }: { name: string; share: number }): string {
  return share < 1 ? `Sending ${name}: ${Math.round(share * 100)} %` : `Reading ${name} …`;
}
