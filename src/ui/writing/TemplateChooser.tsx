'use client';

import Link from 'next/link';
import { memo, useCallback, useDeferredValue, useMemo, useState, type ReactNode } from 'react';
import type { OthersTemplate } from '../../core/contract/templates';
import type { Fit } from '../../core/fitting/fittingTemplates';
import type { AnyTemplate } from '../../core/fitting/listedTemplate';
import { notOffered } from '../../core/fitting/notOffered';
import { hasWords, searchable, wordsWanted } from '../../core/searching/finder';
import type { Situation } from '../../core/records/which/situation';
import { canBePutIn } from '../../core/writing/putIn';
import { wordsOfTemplate } from '../../core/template/wordsOfTemplate';
import { SearchField } from '../shell/SearchField';
import { GroupInitial } from '../templates/GroupInitial';
import type { How } from './useChoosing';
import type { Writing } from './useWriting';

interface Props {
  title: string;
  from: string;
  writing: Writing;
  situation: Situation;
  /** keys of those that the letter is of, its own first; absent: there is none that could be changed */
  letter: readonly string[] | undefined;
  onChoose: (template: string, how: How) => void;
  /** on a phone the list gives way to the page */
  behind: boolean;
  /** what is answered, in view while it is */
  children?: ReactNode;
}

/** No more are shown of what was found: the rest is found by more words. */
const MOST_FOUND = 40;

/** The templates for a letter: those that fit first, with why, then the others under their groups. */
export const TemplateChooser = memo(function TemplateChooser({
  title,
  from,
  writing,
  situation,
  letter,
  onChoose,
  behind,
  children,
}: Props) {
  const { letters, groups } = writing;
  const { desk } = writing.store;
  const [puttingIn, setPuttingIn] = useState(false);
  const into = letter && desk.template(letter[0]!)?.head;
  const isThere = useMemo(() => new Set(letter), [letter]);
  const choose = useCallback(
    (key: string) => {
      setPuttingIn(false);
      onChoose(key, puttingIn ? 'put in' : 'instead');
    },
    [onChoose, puttingIn],
  );
  const [wanted, setWanted] = useState('');
  const search = useDeferredValue(wanted.trim());
  const offered = useMemo(() => desk.fitting(situation, letters), [desk, letters, situation]);
  const { fitting, others } = useMemo(() => {
    if (!puttingIn || !into) return offered;
    const goesIn = (key: string) => !isThere.has(key) && canBePutIn(desk.template(key)!.head, into);
    return {
      fitting: offered.fitting.filter(({ key }) => goesIn(key)),
      others: new Map([...offered.others].filter(([key]) => goesIn(key))),
    };
  }, [desk, offered, puttingIn, into, isThere]);
  const blank = desk.blankLetter(situation);
  const entry = (fit: Fit) => (
    <Entry
      key={fit.key}
      fit={fit}
      name={desk.template(fit.key)!.head.name}
      chosen={isThere.has(fit.key)}
      onChoose={choose}
    />
  );
  const words = wordsWanted(search);
  const found = search
    ? [...fitting, ...others.values()].filter(({ key }) => hasWords(wordsOf(desk.template(key)!), words))
    : undefined;
  return (
    <section className={`index ${behind ? 'index-behind' : ''}`} aria-labelledby="index-title">
      <h1 id="index-title">{title}</h1>
      <p className="count">{from}</p>
      {children}
      <SearchField
        label="Find a template"
        value={wanted}
        onChange={setWanted}
        onEnter={() => found?.[0] && choose(found[0].key)}
      />
      {letter && (
        <p className="put-in">
          <button
            type="button"
            className="btn btn-link"
            aria-pressed={puttingIn}
            onClick={() => setPuttingIn(!puttingIn)}
          >
            {puttingIn ? 'Put nothing in' : 'Put another one in'}
          </button>
          {puttingIn && (
            <span role="status">Choose one: its words go in where the caret is, and the letter stays.</span>
          )}
        </p>
      )}
      {found ? (
        <>
          <p className="visually-hidden" role="status">
            {found.length} found
          </p>
          <ul>{found.slice(0, MOST_FOUND).map(entry)}</ul>
          {found.length > MOST_FOUND && (
            <p className="hint">{found.length - MOST_FOUND} more: write more words.</p>
          )}
          <NotOffered
            templates={desk.facts.templates.filter((template) => hasWords(wordsOf(template), words))}
            theirs={writing.others.filter(({ name }) => hasWords(searchable(name), words))}
            situation={situation}
            none={found.length === 0}
          />
        </>
      ) : (
        <>
          {fitting.length > 0 && (
            <section aria-labelledby="fitting-title">
              <h2 id="fitting-title" className="list-name">
                Fitting
              </h2>
              <ul>{fitting.map(entry)}</ul>
            </section>
          )}
          {!puttingIn && (
            <ul aria-label="Without a template">
              <Entry
                fit={{ key: blank, reason: 'Greeting and signature, the rest by hand' }}
                name="A blank letter"
                chosen={isThere.has(blank)}
                onChoose={choose}
              />
            </ul>
          )}
          <h2 className="list-name">{fitting.length ? 'The others' : 'Templates'}</h2>
          {groups.map((group) => {
            const own = group.templates.flatMap((key) => others.get(key) ?? []);
            return (
              own.length > 0 && (
                <Group key={group.key} group={group} count={own.length} entries={() => own.map(entry)} />
              )
            );
          })}
          {fitting.length + others.size === 0 && (
            <p className="hint">There is no template for this yet. Make one under Templates.</p>
          )}
        </>
      )}
    </section>
  );
});

/** So many that are not offered are told. */
const MOST_TOLD = 10;

/** What was found and cannot be chosen for this letter, with why; each of one's own leads to where that is changed. */
function NotOffered({
  templates,
  theirs,
  situation,
  none,
}: {
  templates: readonly AnyTemplate[];
  theirs: readonly OthersTemplate[];
  situation: Situation;
  /** whether nothing else was found */
  none: boolean;
}) {
  const told = templates.flatMap(({ key, head }) => {
    const why = notOffered(head, situation);
    return why === undefined ? [] : { key, name: head.name, why };
  });
  if (told.length + theirs.length === 0)
    return none ? <p className="hint">No template has these words.</p> : null;
  return (
    <section aria-labelledby="not-offered-title">
      <h2 id="not-offered-title" className="list-name">
        Not offered for this letter
      </h2>
      <ul>
        {told.slice(0, MOST_TOLD).map(({ key, name, why }) => (
          <li key={key}>
            <Link className="entry" href={`/templates/${encodeURIComponent(key)}`}>
              <span className="entry-name">{name}</span>
              <span className="entry-note">{why}</span>
            </Link>
          </li>
        ))}
      </ul>
      {theirs.slice(0, MOST_TOLD).map(({ name, whose }) => (
        <p key={`${whose} ${name}`} className="hint">
          {name} is {whose}’s own: nobody else is offered it.
        </p>
      ))}
    </section>
  );
}

/** A group, folded until it is opened. */
function Group({
  group,
  count,
  entries,
}: {
  group: Writing['groups'][number];
  count: number;
  entries: () => React.ReactNode;
}) {
  const [open, setOpen] = useState(false);
  return (
    <details open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="group-name">
        <GroupInitial initial={group.initial} tint={group.tint} />
        {group.name}
        <span className="group-count" aria-label={`${count} templates`}>
          {count}
        </span>
      </summary>
      {open && <ul>{entries()}</ul>}
    </details>
  );
}

const Entry = memo(function Entry({
  fit,
  name,
  chosen,
  onChoose,
}: {
  fit: Fit;
  name: string;
  chosen: boolean;
  onChoose: (template: string) => void;
}) {
  return (
    <li>
      <button
        type="button"
        className="entry"
        aria-current={chosen || undefined}
        onClick={() => onChoose(fit.key)}
      >
        <span className="entry-name">{name}</span>
        <span className="entry-note">{fit.reason}</span>
      </button>
    </li>
  );
});

const searched = new WeakMap<AnyTemplate, string>();

function wordsOf(template: AnyTemplate): string {
  let words = searched.get(template);
  if (words === undefined) searched.set(template, (words = searchable(wordsOfTemplate(template))));
  return words;
}
