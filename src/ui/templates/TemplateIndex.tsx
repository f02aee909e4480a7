'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { GroupInitial } from './GroupInitial';

interface Group {
  key: string;
  name: string;
  initial: string;
  tint: string;
  templates: { key: string; name: string; startsFrom: string }[];
}

/** The templates under their groups. On a phone it gives way to the page once one is chosen. */
export function TemplateIndex({ groups }: { groups: Group[] }) {
  const here = usePathname();
  const count = groups.reduce((sum, group) => sum + group.templates.length, 0);
  return (
    <section className={`index ${here === '/templates' ? '' : 'index-behind'}`} aria-labelledby="index-title">
      <h1 id="index-title">Templates</h1>
      <p className="count">
        {count} in {groups.length} groups
      </p>
      {groups.map((group) => (
        <section key={group.key} aria-labelledby={`group-${group.key}`}>
          <h2 id={`group-${group.key}`} className="group-name">
            <GroupInitial initial={group.initial} tint={group.tint} />
            {group.name}
            <span className="group-count" aria-label={`${group.templates.length} templates`}>
              {group.templates.length}
            </span>
          </h2>
          <ul>
            {group.templates.map(({ key, name, startsFrom }) => {
              const path = `/templates/${key}`;
              return (
                <li key={key}>
                  <Link href={path} className="entry" aria-current={here === path ? 'page' : undefined}>
                    <span className="entry-name">{name}</span>
                    <span className="entry-note">
                      from {/^[aeiou]/.test(startsFrom) ? 'an' : 'a'} {startsFrom}
                    </span>
                  </Link>
                </li>
              );
            })}
          </ul>
        </section>
      ))}
    </section>
  );
}
