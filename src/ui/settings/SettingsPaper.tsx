import Link from 'next/link';
import type { ReactNode } from 'react';

interface Props {
  title: string;
  note: string;
  /** where it was come from */
  back?: { href: string; words: string };
  children: ReactNode;
}

/** A page on which something is settled. */
export function SettingsPaper({
  title,
  note,
  back = { href: '/settings', words: 'Settings' },
  children,
}: Props) {
  return (
    <article className="paper letter settings" aria-labelledby="settings-title">
      <div className="letter-head">
        <Link href={back.href} className="back-to-list">
          {back.words}
        </Link>
        <h1 id="settings-title">{title}</h1>
        <p>{note}</p>
      </div>
      {children}
    </article>
  );
}
