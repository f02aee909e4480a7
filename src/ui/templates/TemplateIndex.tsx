'use client';

import Link from 'next/link';
import type { GroupedTemplates } from '../../core/contract/list';
import { usePathname, useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { withArticle } from '../../core/fill/formats/article';
import { hasWords, searchable, wordsWanted } from '../../core/searching/finder';
import { SearchField } from '../shell/SearchField';
import { useAnswerTo } from '../shell/useAnswerTo';
import { GroupInitial } from './GroupInitial';
import { useFolded } from './useFolded';

interface Props {
  /** whose folded groups are remembered */
  owner: string;
  groups: GroupedTemplates[];
}

/** The templates under their groups; found at once by their names, and by their words as the server finds them. On a phone it gives way to the page once one is chosen. */
export function TemplateIndex({ owner, groups }: Props) {
  const here = usePathname();
  const router = useRouter();
  const [wanted, setWanted] = useState('');
  const [folded, fold] = useFolded(owner);
  const search = wanted.trim();
  const { body: answer } = useAnswerTo<string[]>('/api/templates', search);
  const withWords = useMemo(() => new Set(answer), [answer]);
  const count = groups.reduce((sum, group) => sum + group.templates.length, 0);
  const found = useMemo(() => {
    if (!search) return [];
    const words = wordsWanted(search);
    return groups
      .flatMap((group) => group.templates)
      .filter(({ key, name }) => hasWords(searchable(name), words) || withWords.has(key));
  }, [groups, search, withWords]);
  return (
    <section className={`index ${here === '/templates' ? '' : 'index-behind'}`} aria-labelledby="index-title">
      <h1 id="index-title">Templates</h1>
      <p className="count">
        {count} in {groups.filter(({ key }) => key).length} groups
      </p>
      <p className="index-keys">
        <Link
          href="/templates/new"
          prefetch={false}
          aria-current={here === '/templates/new' ? 'page' : undefined}
        >
          New template
        </Link>
        <Link
          href="/templates/arrange"
          prefetch={false}
          aria-current={here === '/templates/arrange' ? 'page' : undefined}
        >
          Arrange
        </Link>
        <Link
          href="/templates/trash"
          prefetch={false}
          aria-current={here === '/templates/trash' ? 'page' : undefined}
        >
          Trash
        </Link>
      </p>
      <SearchField
        label="Find by name, subject or words"
        value={wanted}
        onChange={setWanted}
        onEnter={() => found[0] && router.push(`/templates/${found[0].key}`)}
      />
      {search ? (
        <>
          <p className="count" role="status">
            {found.length === 0 ? 'No template has these words.' : `${found.length} found`}
          </p>
          <Entries templates={found} here={here} />
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

function Entries({ templates, here }: { templates: GroupedTemplates['templates']; here: string }) {
  return (
    <ul>
      {templates.map(({ key, name, startsFrom }) => {
        const path = `/templates/${key}`;
        return (
          <li key={key}>
            <Link
              href={path}
              prefetch={false}
              className="entry"
              aria-current={here === path ? 'page' : undefined}
            >
              <span className="entry-name">{name}</span>
              <span className="entry-note">from {withArticle(startsFrom)}</span>
            </Link>
          </li>
        );
      })}
    </ul>
  );
}
