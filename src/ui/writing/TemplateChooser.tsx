'use client';

import { memo, useDeferredValue, useMemo, useState } from 'react';
import type { Fit } from '../../core/fitting/fittingTemplates';
import type { AnyTemplate } from '../../core/fitting/listedTemplate';
import { hasWords, searchable, wordsWanted } from '../../core/searching/finder';
import type { Situation } from '../../core/records/which/situation';
import { wordsOfTemplate } from '../../core/template/wordsOfTemplate';
import { SearchField } from '../shell/SearchField';
import { GroupInitial } from '../templates/GroupInitial';
import type { Writing } from './useWriting';

interface Props {
  title: string;
  from: string;
  writing: Writing;
  situation: Situation;
  chosen: string | undefined;
  onChoose: (template: string) => void;
  /** on a phone the list gives way to the page */
  behind: boolean;
}

/** No more are shown of what was found: the rest is found by more words. */
const MOST_FOUND = 40;

/** The templates for a letter: those that fit first, with why, then the others under their groups. */
export function TemplateChooser({ title, from, writing, situation, chosen, onChoose, behind }: Props) {
  const { letters, groups } = writing;
  const { desk } = writing.store;
  const [wanted, setWanted] = useState('');
  const search = useDeferredValue(wanted.trim());
  const { fitting, others } = useMemo(() => desk.fitting(situation, letters), [desk, letters, situation]);
  const entry = (fit: Fit) => (
    <Entry
      key={fit.key}
      fit={fit}
      name={desk.template(fit.key)!.head.name}
      chosen={chosen === fit.key}
      onChoose={onChoose}
    />
  );
  const found = search
    ? [...fitting, ...others.values()].filter(({ key }) => matches(desk.template(key)!, search))
    : undefined;
  return (
    <section className={`index ${behind ? 'index-behind' : ''}`} aria-labelledby="index-title">
      <h1 id="index-title">{title}</h1>
      <p className="count">{from}</p>
      <SearchField
        label="Find a template"
        value={wanted}
        onChange={setWanted}
        onEnter={() => found?.[0] && onChoose(found[0].key)}
      />
      {found ? (
        <>
          <p className="visually-hidden" role="status">
            {found.length} found
          </p>
          <ul>{found.slice(0, MOST_FOUND).map(entry)}</ul>
          {found.length === 0 && <p className="hint">No template has these words.</p>}
          {found.length > MOST_FOUND && (
            <p className="hint">{found.length - MOST_FOUND} more: write more words.</p>
          )}
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

function matches(template: AnyTemplate, search: string): boolean {
  let words = searched.get(template);
  if (words === undefined) searched.set(template, (words = searchable(wordsOfTemplate(template))));
  return hasWords(words, wordsWanted(search));
}
