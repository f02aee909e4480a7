import Link from 'next/link';
import type { ReactNode } from 'react';
import { Places } from './Places';
import { SignOutButton } from './SignOutButton';

interface Props {
  member: string;
  business: string;
  /** the list of the place */
  index: ReactNode;
  children: ReactNode;
}

/** The frame of every place: the places, the index of this one, and the page. */
export function Shell({ member, business, index, children }: Props) {
  return (
    <div className="shell">
      <a className="visually-hidden-focusable skip" href="#page">
        Skip to the page
      </a>
      <header className="places">
        <Link href="/" className="wordmark">
          Fair
          <br className="wide-only" /> Quill<span aria-hidden="true">.</span>
        </Link>
        <Places />
        <div className="who">
          <span>{member}</span>
          <span>{business}</span>
          <SignOutButton />
        </div>
      </header>
      <main className="place-area">
        {index}
        <div id="page" className="page-area" tabIndex={-1}>
          {children}
        </div>
      </main>
    </div>
  );
}
