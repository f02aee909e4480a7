'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useEffect, useState } from 'react';
import { SearchField } from '../shell/SearchField';
import { askServer } from '../writing/askServer';
import { GroupInitial } from './GroupInitial';
import { useFolded } from './useFolded';

interface Template {
  key: string;
  name: string;
  startsFrom: string;
}

interface Group {
  key: string;
  name: string;
  initial: string;
  tint: string;
  templates: Template[];
}

/** Words are looked for on the server this many milliseconds after the last key; names at once. */
const PAUSE = 120;

/** The templates under their groups. On a phone it gives way to the page once one is chosen. */
export function TemplateIndex({ groups }: { groups: Group[] }) {
  const here = usePathname();
  const [wanted, setWanted] = useState('');
  const [folded, fold] = useFolded();
  const search = wanted.trim().toLowerCase();
  const withWords = useKeysWithWords(search);
  const count = groups.reduce((sum, group) => sum + group.templates.length, 0);
  const found = groups
    .flatMap((group) => group.templates)
    .filter(({ key, name }) => name.toLowerCase().includes(search) || withWords.has(key));
  return (
    <section className={`index ${here === '/templates' ? '' : 'index-behind'}`} aria-labelledby="index-title">
      <h1 id="index-title">Templates</h1>
      <p className="count">
        {count} in {groups.length} groups
      </p>
      <SearchField label="Find by name, subject or words" value={wanted} onChange={setWanted} />
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

function Entries({ templates, here }: { templates: Template[]; here: string }) {
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
              <span className="entry-note">
                from {/^[aeiou]/.test(startsFrom) ? 'an' : 'a'} {startsFrom}
              </span>
            </Link>
          </li>
        );
      })}
    </ul>
  );
}

const NONE: ReadonlySet<string> = new Set();

/** The keys of the templates that have some words in them, as the server finds them. */
function useKeysWithWords(search: string): ReadonlySet<string> {
  const [found, setFound] = useState(NONE);
  useEffect(() => {
    setFound(NONE);
    if (!search) return;
    let latest = true;
    const timer = setTimeout(() => {
      void askServer<string[]>(`/api/templates?find=${encodeURIComponent(search)}`).then((answer) => {
        if (latest && !('offline' in answer) && answer.status === 200) setFound(new Set(answer.body));
      });
    }, PAUSE);
    return () => {
      latest = false;
      clearTimeout(timer);
    };
  }, [search]);
  return found;
}
