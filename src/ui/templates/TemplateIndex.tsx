'use client';

import Link from 'next/link';
import type { FoundTemplates } from '../../core/contract/templates';
import type { GroupedTemplates, ListedEntry } from '../../core/contract/list';
import { usePathname, useRouter } from 'next/navigation';
import { memo, useEffect, useMemo, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { withArticle } from '../../core/fill/formats/article';
import { hasWords, searchable, wordsWanted } from '../../core/searching/finder';
import {
  narrowTemplates,
  templateState,
  templateUse,
  type Narrowing,
  type Sorting,
} from '../../core/searching/narrowTemplates';
import { Opening } from '../shell/Opening';
import { SearchField } from '../shell/SearchField';
import { useAnswerTo } from '../shell/useAnswerTo';
import { useNear } from '../shell/useNear';
import { GroupInitial } from './GroupInitial';
import { useFolded } from './useFolded';

interface Props {
  /** whose folded groups are remembered */
  owner: string;
  groups: GroupedTemplates[];
  passages: readonly { key: string; name: string }[];
}

/** The list comes first: milliseconds until what a template is written with is fetched. */
const REST = 1000;

/** So many templates are laid out at once. */
const LONG = 200;

/** What is done with the templates beside reading them. */
const PAGES = [
  ['/templates/new', 'New template'],
  ['/templates/arrange', 'Arrange'],
  ['/templates/passages', 'Passages'],
  ['/templates/signatures', 'Signatures'],
  ['/templates/shorthand', 'Shorthand'],
  ['/templates/letterhead', 'Letterhead'],
  ['/templates/acts', 'Acts'],
  ['/templates/bring-in', 'Bring in, take out'],
  ['/templates/trash', 'Trash'],
] as const;

/** The templates under their groups; found at once by their names, and by their words as the server finds them. On a phone it gives way to the page once one is chosen. */
export function TemplateIndex({ owner, groups, passages }: Props) {
  const here = usePathname();
  const router = useRouter();
  const [wanted, setWanted] = useState('');
  const [folded, fold] = useFolded(owner);
  const [narrowing, setNarrowing] = useState<Narrowing>('all');
  const [sorting, setSorting] = useState<Sorting>('by hand');
  // What a template is written with comes while the list is looked at.
  useEffect(() => {
    const timer = setTimeout(() => {
      // Without a connection it comes when it is needed.
      import('./TemplateDesk').then(() => import('./pencil/PencilPage')).catch(() => undefined);
    }, REST);
    return () => clearTimeout(timer);
  }, []);
  const search = wanted.trim();
  const { body: answer } = useAnswerTo<FoundTemplates>('/api/templates', search);
  const withWords = useMemo(() => new Set(answer?.keys), [answer]);
  const all = useMemo(() => groups.flatMap((group) => group.templates), [groups]);
  const startsFrom = useMemo(() => [...new Set(all.map((template) => template.startsFrom))], [all]);
  /** instead of the groups: those that are looked for, left or sorted otherwise */
  const found = useMemo(() => {
    if (!search && narrowing === 'all' && sorting === 'by hand') return undefined;
    const words = wordsWanted(search);
    const named = ({ key, name }: ListedEntry) =>
      !search || hasWords(searchable(name), words) || withWords.has(key);
    return narrowTemplates(all.filter(named), narrowing, sorting);
  }, [all, search, withWords, narrowing, sorting]);
  return (
    <section
      className={`index ${here === '/templates' ? '' : 'index-behind'}`}
      aria-labelledby="index-title"
      data-long={all.length > LONG || undefined}
    >
      <h1 id="index-title">Templates</h1>
      <p className="count">
        {all.length} in {groups.filter(({ key }) => key).length} groups
      </p>
      <p className="index-keys">
        {PAGES.map(([href, words]) => (
          <Link key={href} href={href} prefetch={false} aria-current={here === href ? 'page' : undefined}>
            {words}
            <Opening />
          </Link>
        ))}
      </p>
      <SearchField
        label="Find by name, subject or words"
        value={wanted}
        onChange={setWanted}
        onEnter={() => found?.[0] && router.push(`/templates/${found[0].key}`)}
      />
      <div className="index-narrow">
        <Form.Select
          size="sm"
          aria-label="Which are shown"
          value={narrowing}
          onChange={(event) => setNarrowing(event.target.value as Narrowing)}
        >
          <option value="all">all</option>
          {startsFrom.map((kind) => (
            <option key={kind} value={`from ${kind}`}>
              from {withArticle(kind)}
            </option>
          ))}
          <option value="resting">resting</option>
          <option value="unfinished">unfinished</option>
          <option value="mine">mine alone</option>
          {passages.map(({ key, name }) => (
            <option key={key} value={`has ${key}`}>
              with “{name}”
            </option>
          ))}
        </Form.Select>
        <Form.Select
          size="sm"
          aria-label="In which order"
          value={sorting}
          onChange={(event) => setSorting(event.target.value as Sorting)}
        >
          <option>by hand</option>
          <option>by last use</option>
          <option>by use</option>
        </Form.Select>
      </div>
      {found ? (
        <>
          <p className="count" role="status">
            {found.length === 0
              ? search
                ? 'No template has these words.'
                : 'No template is so.'
              : found.length < all.length
                ? `${found.length} found`
                : ''}
          </p>
          <Entries templates={found} here={here} withUse={sorting !== 'by hand'} />
          {search &&
            answer?.others.map(({ name, whose }) => (
              <p key={`${whose} ${name}`} className="count">
                {name} is {whose}’s own: nobody else is offered it.
              </p>
            ))}
        </>
      ) : (
        groups.map((group) => (
          <details
            key={group.key}
            open={!folded.has(group.key)}
            onToggle={(event) => fold(group.key, !event.currentTarget.open)}
          >
            <summary className="group-name">
              <GroupInitial initial={group.initial} tint={group.tint} />
              {group.name}
              <span className="group-count" aria-label={`${group.templates.length} templates`}>
                {group.templates.length}
              </span>
            </summary>
            <Entries templates={group.templates} here={here} />
          </details>
        ))
      )}
    </section>
  );
}

interface EntriesProps {
  templates: readonly ListedEntry[];
  here: string;
  /** says how often each was used */
  withUse?: boolean;
}

function Entries({ templates, here, withUse = false }: EntriesProps) {
  return (
    <ul>
      {templates.map((template) => (
        <Entry
          key={template.key}
          template={template}
          current={here === `/templates/${template.key}`}
          withUse={withUse}
        />
      ))}
    </ul>
  );
}

interface EntryProps {
  template: ListedEntry;
  /** whether its page is open */
  current: boolean;
  withUse: boolean;
}

/** With another page open, one of hundreds is drawn anew, and the one before it. */
const Entry = memo(function Entry({ template, current, withUse }: EntryProps) {
  const { key, name, startsFrom } = template;
  const [near, listeners] = useNear();
  const said = [`from ${withArticle(startsFrom)}`, ...templateState(template)];
  return (
    <li>
      <Link
        href={`/templates/${key}`}
        prefetch={near}
        className="entry"
        aria-current={current ? 'page' : undefined}
        {...listeners}
      >
        <span className="entry-name">{name}</span>
        <span className="entry-note">{(withUse ? [templateUse(template)] : said).join(', ')}</span>
        <Opening />
      </Link>
    </li>
  );
});
